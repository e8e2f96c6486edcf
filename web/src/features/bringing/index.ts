export { BringPage } from './BringPage';
export { BroughtPage } from './BroughtPage';
export { ListPage } from './ListPage';
