export { DemoDays } from './DemoDays';
