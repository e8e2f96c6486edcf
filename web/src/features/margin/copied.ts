import type { Schema } from '../../api';

/** A passage with its note as it is pasted elsewhere: the citation, with the page, on the last line. */
export function copied(note: Schema['NoteShown'], citation: string): string {
  const page = note.label && ` (p. ${note.label})`;
  return [`“${note.quote}”`, note.text, citation + page].filter(Boolean).join('\n');
}
