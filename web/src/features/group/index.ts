export { GroupPage } from './GroupPage';
export { AskForm } from './AskForm';
export { InvitationLine } from './InvitationLine';
