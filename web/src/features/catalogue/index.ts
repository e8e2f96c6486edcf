export { useHeadings } from './api';
export { useSourceNames, useSources } from './sourcesApi';
export { FollowedPage } from './FollowedPage';
export { HeadingsPage } from './HeadingsPage';
export { HoldingsPage } from './HoldingsPage';
export { HousePage } from './HousePage';
export { JournalsPage } from './JournalsPage';
export { RequestsPage } from './RequestsPage';
export { SourcesPage } from './SourcesPage';
