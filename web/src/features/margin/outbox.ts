import type { Schema } from '../../api';

/** A note that was written while the server could not be reached. */
export interface Unsent {
  command: string;
  group: string;
  publication: string;
  note: Schema['NewMarginNoteBody'];
}

const PLACE = 'lantern.unsent-notes';

/** Nothing that was written is lost with the page: it waits until it can be sent. */
export function unsent(): Unsent[] {
  const stored = localStorage.getItem(PLACE);
  return stored ? (JSON.parse(stored) as Unsent[]) : [];
}

export function keepUnsent(note: Unsent): void {
  const others = unsent().filter((one) => one.command !== note.command);
  localStorage.setItem(PLACE, JSON.stringify([...others, note]));
}

export function sent(command: string): void {
  localStorage.setItem(PLACE, JSON.stringify(unsent().filter((one) => one.command !== command)));
}
