export { Changing } from './Changing';
export { useRun, useSavedSearch } from './api';
export { SavedSearchPage } from './SavedSearchPage';
export { ToCheck } from './ToCheck';
export { SearchActs } from './SearchActs';
