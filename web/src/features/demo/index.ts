export { DemoDays } from './DemoDays';
export { MailOfDemo } from './MailOfDemo';
