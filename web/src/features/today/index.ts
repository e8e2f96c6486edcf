export { TodayPage } from './TodayPage';
export { useVisit } from './api';
