export { useAhead, useLeaf, useOpening, usePutOut } from './api';
export { outboxOf, type Said } from './outbox';
export { Ties } from './Ties';
export { useJustSaid, useMark, useUnsent } from './useMark';
export { Leaf } from './Leaf';
export { lampOf, MARKS, type MarkWord } from './marks';
export { PublicationPage } from './PublicationPage';
export { ReadIt } from './ReadIt';
export { useMarkKeys } from './useMarkKeys';
