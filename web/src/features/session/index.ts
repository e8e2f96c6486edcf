export { mayWrite, useGroup, useHere, useLiveGroup, useMe, useSignOut } from './api';
export { AddressPage } from './AddressPage';
export { EntryPage } from './EntryPage';
export { ForgottenPage } from './ForgottenPage';
export { FoundGroup } from './FoundGroup';
export { JoinPage } from './JoinPage';
export { SignInPage } from './SignInPage';
export { awayWords, offered } from './person';
export { useAct } from './useAct';
