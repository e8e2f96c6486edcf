export { useOwed } from './api';
export { ArrivalsPage } from './ArrivalsPage';
