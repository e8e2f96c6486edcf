import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, people } from '../../ui';
import { useHere } from '../session';
import type { Decision, ToDecide } from './api';
import { Beside } from './Beside';
import { standing } from './words';

const TAKEN = ['added', 'joined', 'there'];

/** An entry of a file: what it is, how it stands, and what can be decided of it. */
export function Entry({
  entry,
  deciding,
  onDecide,
  onBack,
}: {
  entry: Schema['BroughtEntry'];
  deciding: boolean;
  /** Absent while nothing can be decided. */
  onDecide: ((wanted: ToDecide) => void) | undefined;
  /** Takes it back; absent while nothing can be. */
  onBack: (() => void) | undefined;
}) {
  const here = useHere();
  const { n, file, line, note, found, byKey, faults, decision, outcome, work } = entry;
  const only = entry.here[0];
  const decide = (next: Decision, publication?: string) =>
    onDecide?.({ entries: [n], decision: next, ...(publication && { publication }) });
  const open = onDecide && !outcome;
  const act = (next: Decision, words: string) => (
    <Act disabled={deciding} onClick={() => decide(next)}>
      {words}
    </Act>
  );
  return (
    <article aria-label={entry.entry.title}>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-0 flex-1 font-serif text-[15.5px]">
          {work ? (
            <Link to={`/g/${here.id}/p/${work.id}`}>{entry.entry.title}</Link>
          ) : (
            entry.entry.title
          )}
        </span>
        <span
          className={found === 'doubtful' && !decision && !outcome ? 'font-semibold' : 'text-soft'}
        >
          {standing(entry)}
        </span>
      </p>
      <p className="text-[13px] text-soft">
        {[
          people(entry.entry.people),
          entry.entry.year,
          entry.entry.where,
          entry.entry.pages,
          entry.entry.doi,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {found === 'here' && only && !outcome && byKey !== 'record' && (
        <p className="text-[13px] text-soft">
          here: <Link to={`/g/${here.id}/p/${only.id}`}>{only.work.title}</Link> · {only.access}
        </p>
      )}
      {found === 'doubtful' && !outcome && (
        <Beside
          entry={entry}
          deciding={deciding}
          onDecide={open ? (id) => decide(id ? 'same' : 'another', id) : undefined}
        />
      )}
      {note && <p className="mt-1 whitespace-pre-line text-[13px]">{note}</p>}
      {faults.length > 0 && (
        <p className="mt-1 max-w-[52rem] text-[13px] text-soft">{faults.join(' ')}</p>
      )}
      <p className="flex flex-wrap items-baseline gap-x-4 text-[13px]">
        <span className="text-faint">
          {file}
          {line > 0 && `, line ${line}`}
        </span>
        {open &&
          decision &&
          act(null, found === 'doubtful' ? 'Not decided yet' : 'Take it as it was')}
        {open &&
          !decision &&
          found === 'here' &&
          byKey !== 'record' &&
          act('another', 'It is another work')}
        {open && decision !== 'out' && act('out', 'Leave it out')}
        {onBack && outcome && TAKEN.includes(outcome) && (
          <Act disabled={deciding} onClick={onBack}>
            Take this one back
          </Act>
        )}
      </p>
    </article>
  );
}
