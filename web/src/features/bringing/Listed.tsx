import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, listed, people } from '../../ui';
import { useHere } from '../session';

const FITS: Record<string, string> = { sure: 'here', perhaps: 'perhaps here' };

/** A reference as it was pasted, and what is here of it. */
export function Listed({
  entry,
  onNote,
}: {
  entry: Schema['ListedShown'];
  /** Absent for whoever may not, and while another is on its way. */
  onNote: (() => void) | undefined;
}) {
  const here = useHere();
  const { text, fit, publication, work, folders, task } = entry;
  return (
    <>
      <p className="flex items-baseline gap-x-4">
        <span className="min-w-0 flex-1 break-words">{text}</span>
        <span className="flex-none text-soft">
          {fit ? FITS[fit] : task ? 'not here, to be looked up' : 'not here'}
        </span>
      </p>
      {work && publication && (
        <p className="mt-0.5 text-[13px]">
          <Link className="font-serif text-[15px]" to={`/g/${here.id}/p/${publication}`}>
            {work.title}
          </Link>{' '}
          <span className="text-soft">
            {[people(work.people), work.year, work.where].filter(Boolean).join(' · ')}
            {folders.length > 0 && ` · in ${listed(folders.map(({ name }) => name))}`}
          </span>
        </p>
      )}
      {!fit && !task && onNote && (
        <p className="text-[13px]">
          <Act onClick={onNote}>To be looked up</Act>
        </p>
      )}
    </>
  );
}
