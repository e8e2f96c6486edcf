import type { ReactNode } from 'react';
import { Act, counted } from '../../ui';
import { MarkActs, type MarkWord } from '../publication';

/** What can be done with everything that is ticked, and what of it this list does not show. */
export function Ticked({
  here,
  elsewhere,
  writes,
  exports,
  more,
  onSay,
  onNote,
  onCite,
  onUntick,
  onUntickElsewhere,
}: {
  here: number;
  /** Ticked in another list of this window. */
  elsewhere: number;
  writes: boolean;
  /** Exports them; absent where that is not open. */
  exports: ReactNode;
  /** What else this list can do with them. */
  more?: ReactNode;
  onSay: (word: MarkWord) => void;
  onNote: () => void;
  /** Cites them; absent where that is not open. */
  onCite: (() => void) | undefined;
  onUntick: () => void;
  onUntickElsewhere: () => void;
}) {
  return (
    <div className="border-b border-base-300 px-6 py-1">
      {here > 0 && (
        <p className="flex flex-wrap items-baseline gap-x-4">
          <b role="status">{counted(here, 'publication')} ticked</b>
          {writes && <MarkActs onMark={onSay} />}
          {writes && <Act onClick={onNote}>Keep with a note</Act>}
          {more}
          {onCite && <Act onClick={onCite}>Cite</Act>}
          {exports}
          <Act onClick={onUntick}>Untick</Act>
        </p>
      )}
      {elsewhere > 0 && (
        <p className="flex flex-wrap items-baseline gap-x-4 text-[13px] text-soft">
          {counted(elsewhere, 'ticked publication')} {elsewhere === 1 ? 'is' : 'are'} not in this
          list
          <Act onClick={onUntickElsewhere}>Untick {elsewhere === 1 ? 'it' : 'them'}</Act>
        </p>
      )}
    </div>
  );
}
