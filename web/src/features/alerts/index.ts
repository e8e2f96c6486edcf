export { AlertPage } from './AlertPage';
export { AlertsPage } from './AlertsPage';
export { SetAlertDialog } from './SetAlertDialog';
export { useFolderNames } from './api';
