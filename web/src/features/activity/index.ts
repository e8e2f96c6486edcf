export { ActivityLink } from './ActivityLink';
export { ActivityPage } from './ActivityPage';
export { Deed } from './Deed';
