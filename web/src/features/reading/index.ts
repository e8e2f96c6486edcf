export { ReadingPage } from './ReadingPage';
