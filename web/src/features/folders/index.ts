export { useKeep } from './api';
export { FolderChoice, useChosenFolder } from './FolderChoice';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { KeepDialog } from './KeepDialog';
export { SaveSearchDialog } from './SaveSearchDialog';
