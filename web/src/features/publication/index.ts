export { useLeaf, useMark, useOpening, usePutOut } from './api';
export { Leaf } from './Leaf';
export { MARKS, type MarkWord } from './marks';
export { PublicationPage } from './PublicationPage';
export { useMarkKeys } from './useMarkKeys';
