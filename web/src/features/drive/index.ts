export { DriveDialog } from './DriveDialog';
export { DrivePage } from './DrivePage';
