export { useSourceNames, useSources } from './api';
export { HeadingsPage } from './HeadingsPage';
export { HoldingsPage } from './HoldingsPage';
export { SourcesPage } from './SourcesPage';
