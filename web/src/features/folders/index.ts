export { BinPage } from './BinPage';
export { Faces } from './Faces';
export { FolderPage } from './FolderPage';
export { FoldersPage } from './FoldersPage';
export { FolderPeoplePage } from './FolderPeoplePage';
