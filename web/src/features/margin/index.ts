export { useNotesAt, useUnsent, useWriteNote } from './api';
export { copied } from './copied';
export { MarginNote } from './MarginNote';
export { NotesPage } from './NotesPage';
export { unsent } from './outbox';
export { WriteNote, type Writing } from './WriteNote';
