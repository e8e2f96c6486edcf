export { LeaveActs } from './LeaveActs';
export { SentPage } from './SentPage';
export { useSent } from './mailApi';
