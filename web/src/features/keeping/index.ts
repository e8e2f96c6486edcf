export { PILE, useAddFolder, useFolders, useFoldersToChange, useKeep } from './api';
export { FolderChoice, useChosenFolder, useLastFolder } from './FolderChoice';
export { KeepDialog } from './KeepDialog';
export { SaveSearchDialog } from './SaveSearchDialog';
