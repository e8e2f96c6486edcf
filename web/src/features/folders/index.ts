export { useKeep } from './api';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { KeepDialog } from './KeepDialog';
export { SaveSearchDialog } from './SaveSearchDialog';
