export { GroupPage } from './GroupPage';
export { InvitationLine } from './InvitationLine';
