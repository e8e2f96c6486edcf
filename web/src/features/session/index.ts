export { mayWrite, useGroup, useHere, useLiveGroup, useMe, useSignOut } from './api';
export { EntryPage } from './EntryPage';
export { FoundGroup } from './FoundGroup';
export { JoinPage } from './JoinPage';
export { SignInPage } from './SignInPage';
export { useAct } from './useAct';
