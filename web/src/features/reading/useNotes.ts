import { useMemo } from 'react';
import type { Schema } from '../../api';
import { useNotesAt } from '../margin';
import { rangeOfPassage } from './shown';
import { shownOn, type Target, type Viewing } from './viewing';

const NONE: Schema['NoteShown'][] = [];

/** The notes at a text, and what of their passages is drawn. */
export function useNotes(group: string, text: Schema['TextShown'], viewing: Viewing) {
  const { publication, id } = text.copy;
  const notes = useNotesAt(group, publication, id).data ?? NONE;
  const { pages } = viewing;
  const ranges = useMemo(
    () =>
      notes.flatMap(({ place, quote }) => {
        const root = place && pages.get(place.page);
        const range = root ? rangeOfPassage(shownOn(root), quote, place.nth) : null;
        return range ? [range] : [];
      }),
    [notes, pages],
  );
  return { notes, ranges };
}

/** Where a note stands; null where its place is not found. */
export function placeOf({ place, quote }: Schema['NoteShown']): Target | null {
  return place
    ? { page: place.page, range: (shown) => rangeOfPassage(shown, quote, place.nth) }
    : null;
}

/** How far into the work a note stands, from 0 to 1: its page, as well as it is known. */
export function farOf(note: Schema['NoteShown'], words: string[], labels: string[]): number {
  if (!note.place) return 1;
  const page = words[note.place.page] ?? '';
  const at = page.indexOf(note.quote.slice(0, 40));
  return (note.place.page + (at < 0 ? 0 : at / page.length)) / labels.length;
}
