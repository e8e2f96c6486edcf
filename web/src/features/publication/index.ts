export { useLeaf, useMark, useOpening } from './api';
export { Leaf } from './Leaf';
export { PublicationPage } from './PublicationPage';
export { useCopyAddress, useCopyLink } from './useCopyLink';
