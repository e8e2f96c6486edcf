export { useSourceNames, useSources } from './api';
export { HoldingsPage } from './HoldingsPage';
export { SourcesPage } from './SourcesPage';
