export { mayWrite, useGroup, useHere, useLiveGroup, useMe, useSignOut } from './api';
export { SignInPage } from './SignInPage';
export { useAct } from './useAct';
