export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
