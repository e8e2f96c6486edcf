export { BinPage } from './BinPage';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { FolderPeoplePage } from './FolderPeoplePage';
