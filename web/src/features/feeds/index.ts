export { FeedAddress } from './FeedAddress';
export { FeedsPage } from './FeedsPage';
export { FollowAct } from './FollowAct';
export { useFeeds, useFollow } from './api';
