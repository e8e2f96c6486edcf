export { useKeep } from './api';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { KeepDialog } from './KeepDialog';
export { SavedSearchPage } from './SavedSearchPage';
export { SaveSearchDialog } from './SaveSearchDialog';
