export { GroupPage } from './GroupPage';
