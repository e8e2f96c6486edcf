import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, shortDay } from '../../ui';

/** The last closed rounds, with a bar for what each brought. */
export function LastRounds({ group, rounds }: { group: string; rounds: Schema['RoundLine'][] }) {
  const most = Math.max(1, ...rounds.map((round) => round.arrivals));
  return (
    <section aria-label="Last rounds" className="mt-6 max-w-[40rem]">
      <h2 className="small-head">Last rounds</h2>
      {rounds.length === 0 && <p className="text-soft">No round has closed yet.</p>}
      <ol>
        {rounds.map((round) => (
          <li key={round.id} className="grid grid-cols-[7rem_1fr_9rem] items-center gap-3 py-1">
            <span>{shortDay(round.closed ?? round.opens)}</span>
            <span className="h-[7px] bg-base-300" aria-hidden="true">
              <span
                className="block h-full bg-primary"
                style={{ width: `${(100 * round.arrivals) / most}%` }}
              />
            </span>
            {round.arrivals === 0 && round.nobody === 0 ? (
              <span className="text-soft">nothing to review</span>
            ) : (
              <Link className="act" to={`/g/${group}/r/${round.id}`}>
                {counted(round.arrivals, 'arrival')}
              </Link>
            )}
          </li>
        ))}
      </ol>
      {rounds.length >= SHOWN && (
        <p className="text-[13px] text-soft">
          The last {SHOWN} rounds;{' '}
          <Link className="act" to={`/g/${group}/arrivals`}>
            all with something in them
          </Link>
        </p>
      )}
    </section>
  );
}

const SHOWN = 12;
