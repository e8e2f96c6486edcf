export { useKeep } from './api';
export { FolderChoice, useChosenFolder, useLastFolder } from './FolderChoice';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { KeepDialog } from './KeepDialog';
export { SaveSearchDialog } from './SaveSearchDialog';
