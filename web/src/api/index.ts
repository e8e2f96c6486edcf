export { api, body, commandHeader, newCommand, type Schema } from './client';
export { isOutOfReach, isProblem, Problem, stands } from './problem';
export { keys } from './keys';
export { changesSince } from './changes';
export { asItIs, takeBlob, takeFile, type TakenFile } from './file';
export { forget, hasEnded, leaveForLater, left, VISIT_ENDED, type Later } from './later';
export { useRefresh } from './refresh';
export { undo } from './undo';
