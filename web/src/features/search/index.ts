export { SearchPage } from './SearchPage';
