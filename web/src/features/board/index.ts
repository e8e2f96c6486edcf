export { BoardPage } from './BoardPage';
export { Progress } from './Progress';
