export { useAhead, useLeaf, useOpening, usePutOut } from './api';
export { outboxOf } from './outbox';
export { useJustSaid, useMark, useUnsent } from './useMark';
export { Leaf } from './Leaf';
export { MARKS, type MarkWord } from './marks';
export { PublicationPage } from './PublicationPage';
export { ReadIt } from './ReadIt';
export { useMarkKeys } from './useMarkKeys';
