export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { FolderPeoplePage } from './FolderPeoplePage';
