export { LeaveActs } from './LeaveActs';
export { SentPage } from './SentPage';
export { useSent } from './mailApi';
export { FORMS_OF_BIBLIOGRAPHY } from './formats';
