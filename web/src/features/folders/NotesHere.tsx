import { Link } from 'react-router';
import { day } from '../../ui';
import { useHere } from '../session';
import { useNotes } from './api';

/** The dated notes of a folder; nothing where there are none. */
export function NotesHere({ folder }: { folder: string }) {
  const here = useHere();
  const notes = useNotes(here.id, folder).data ?? [];
  if (notes.length === 0) return null;
  return (
    <section aria-label="Notes" className="border-b border-base-300 bg-base-200 px-4 py-2 lg:px-6">
      <h2 className="small-head">Notes</h2>
      <ul>
        {notes.map((note) => (
          <li key={note.id} className="flex flex-wrap items-baseline gap-x-4 py-1">
            <Link
              className="min-h-[24px] py-0.5 font-serif text-[15.5px] font-medium"
              to={`/g/${here.id}/n/${note.id}`}
            >
              {note.title}
            </Link>
            <span className="text-soft">
              {note.by}, {day(note.at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
