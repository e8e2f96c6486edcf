export { ComparePage } from './ComparePage';
export { TrailPage } from './TrailPage';
