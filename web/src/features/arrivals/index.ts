export { useListCounts, useOwed } from './api';
export { ArrivalsPage } from './ArrivalsPage';
export { MarkPage } from './MarkPage';
export { ArrivalListPage } from './ArrivalListPage';
export { comesAgain, whatHappened } from './occasions';
