export { useHeadings, useSourceNames, useSources } from './api';
export { HeadingsPage } from './HeadingsPage';
export { HoldingsPage } from './HoldingsPage';
export { JournalsPage } from './JournalsPage';
export { SourcesPage } from './SourcesPage';
