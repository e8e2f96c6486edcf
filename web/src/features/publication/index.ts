export { useLeaf, useMark } from './api';
export { Leaf } from './Leaf';
export { PublicationPage } from './PublicationPage';
export { useCopyLink } from './useCopyLink';
