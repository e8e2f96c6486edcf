export { AccountPage } from './AccountPage';
