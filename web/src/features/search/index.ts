export { useSearch } from './api';
export { Results } from './Results';
export { SearchPage } from './SearchPage';
export { useHeldTitle, useLimitSets } from './sheetApi';
export { HeldChoice } from './HeldChoice';
