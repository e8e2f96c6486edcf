export { AlertPage } from './AlertPage';
export { AlertsPage } from './AlertsPage';
export { SetAlertDialog } from './SetAlertDialog';
export { useAlerts, useFolderNames } from './api';
export { FollowFolder, WatchAct, WatchLine } from './WatchAct';
export { WatchAuthors } from './WatchAuthors';
