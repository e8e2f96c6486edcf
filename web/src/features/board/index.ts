export { BoardPage } from './BoardPage';
export { Progress } from './Progress';
export { spanOf } from './span';
