import type { Schema } from '../../api';
import { Act, clock, day, dayOf } from '../../ui';
import { useHere } from '../session';
import { useUndoOf } from './api';
import { Changed } from './Changed';
import { Deed } from './Deed';

type Line = Schema['ActivityLine'];

/** Lines under the day on which they happened. */
export function Days({ lines }: { lines: readonly Line[] }) {
  const here = useHere();
  const undo = useUndoOf(here.id);
  const days = [...new Set(lines.map((line) => dayOf(line.deed.at)))];
  return (
    <>
      {days.map((date) => (
        <section key={date} aria-label={day(date)} className="mt-4">
          <h2 className="small-head">{day(date)}</h2>
          <ol>
            {lines
              .filter((line) => dayOf(line.deed.at) === date)
              .map((line) => (
                <li
                  key={line.id}
                  className="flex flex-wrap items-baseline gap-x-3 border-b border-base-300 py-1.5"
                >
                  <span className="w-12 text-soft">{clock(line.deed.at)}</span>
                  <span className={`min-w-0 flex-1 ${line.undone ? 'text-soft' : ''}`}>
                    <Deed deed={line.deed} group={here.id} />
                    {line.undone && ' — taken back since'}
                  </span>
                  {line.undoable && (
                    <Act disabled={undo.isPending} onClick={() => undo.mutate(line.id)}>
                      Undo
                    </Act>
                  )}
                  <Changed changed={line.changed} />
                </li>
              ))}
          </ol>
        </section>
      ))}
    </>
  );
}
