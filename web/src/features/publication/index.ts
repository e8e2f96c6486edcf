export { useLeaf, useMark, useOpening, usePutOut } from './api';
export { Leaf } from './Leaf';
export { MARKS, type MarkWord } from './marks';
export { PublicationPage } from './PublicationPage';
export { ReadIt } from './ReadIt';
export { useMarkKeys } from './useMarkKeys';
