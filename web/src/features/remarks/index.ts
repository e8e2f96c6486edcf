export { Remarks } from './Remarks';
