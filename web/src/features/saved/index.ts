export { Changing } from './Changing';
export { useRun, useSavedSearch, useToCheck } from './api';
export { SavedSearchPage } from './SavedSearchPage';
export { ToCheck } from './ToCheck';
export { SearchActs } from './SearchActs';
