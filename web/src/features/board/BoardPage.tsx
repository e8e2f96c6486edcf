import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, day, Failed, shortDay, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { askedBy, useBoard } from './api';
import { BoardTable } from './BoardTable';
import { dayFrom, daysBetween } from './span';

const BY = [
  { by: 'round', label: 'By round' },
  { by: 'week', label: 'By week' },
  { by: 'alert', label: 'By alert' },
];

const LENGTHS = [
  { days: 31, label: 'a month' },
  { days: 92, label: 'three months' },
  { days: 366, label: 'a year' },
];

/** The group's picture of what came and who has looked at it, on one sheet. */
export function BoardPage() {
  const here = useHere();
  const { params } = useAddress();
  const asked = askedBy(params);
  const found = useBoard(here.id, asked);
  if (found.error && !found.data)
    return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="the board" />;
  return <Shown board={found.data} only={asked.alert ?? ''} />;
}

function Shown({ board, only }: { board: Schema['BoardView']; only: string }) {
  const here = useHere();
  const { params, change } = useAddress();
  const csv = new URLSearchParams({ ...askedBy(params), from: board.from, to: board.to });
  return (
    <div className="page board-sheet">
      <title>Board · Quiet Lantern</title>
      <Title help="arrivals" className="mb-1">
        Board
      </Title>
      <p role="status">
        {here.name}, {day(board.from)} to {day(board.to)}
        {board.only && ` · ${board.only} only`}
      </p>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1 print:hidden">
        {BY.map(({ by, label }) => (
          <Act
            key={by}
            aria-pressed={board.by === by}
            onClick={() => change('by', by, { replace: true })}
          >
            {label}
          </Act>
        ))}
        <Days board={board} />
        {only && <Act onClick={() => change('alert', '', { replace: true })}>All alerts</Act>}
        <a className="act" href={`/api/groups/${here.id}/board.csv?${csv}`}>
          Download as CSV
        </a>
        <Act onClick={() => window.print()}>Print</Act>
        <Link className="act" to={`/g/${here.id}/arrivals`}>
          Arrivals
        </Link>
      </div>
      {board.rows.length > 0 ? (
        <BoardTable board={board} only={only} group={here} />
      ) : (
        <p className="mt-4 text-soft">
          {board.earliest
            ? `Nothing came in these days. The first round closed on ${day(board.earliest)}.`
            : 'Nothing has come yet.'}
        </p>
      )}
      <Notes board={board} group={here} />
    </div>
  );
}

/** Which days are shown, and the way to those before and after. */
function Days({ board }: { board: Schema['BoardView'] }) {
  const { changeAll } = useAddress();
  const { from, to, earliest, today } = board;
  const days = daysBetween(from, to);
  const show = (first: string, last: string) =>
    changeAll({ from: first, to: last }, { replace: true });
  return (
    <>
      <select
        aria-label="How many days"
        className="min-h-[24px] cursor-pointer bg-base-100 text-soft"
        value={LENGTHS.some((one) => one.days === days) ? days : ''}
        onChange={(event) => show(dayFrom(to, 1 - Number(event.target.value)), to)}
      >
        {!LENGTHS.some((one) => one.days === days) && <option value="">{days} days</option>}
        {LENGTHS.map((one) => (
          <option key={one.days} value={one.days}>
            {one.label}
          </option>
        ))}
      </select>
      <Act
        disabled={!earliest || from <= earliest}
        onClick={() => show(dayFrom(from, -days), dayFrom(from, -1))}
      >
        Earlier
      </Act>
      <Act disabled={to >= today} onClick={() => show(dayFrom(to, 1), dayFrom(to, days))}>
        Later
      </Act>
      {to !== today && (
        <Act onClick={() => changeAll({ from: '', to: '' }, { replace: true })}>Until today</Act>
      )}
    </>
  );
}

/** Why somebody owes less than others. */
function Notes({ board, group }: { board: Schema['BoardView']; group: Schema['GroupView'] }) {
  if (board.notes.length === 0) return null;
  return (
    <section className="mt-4">
      <h2 className="small-head">Who was not there</h2>
      <ul className="text-[13.5px] text-soft">
        {board.notes.map((note) => (
          <li key={`${note.member} ${note.what} ${note.from}`}>
            {group.members.find(({ id }) => id === note.member)?.name ?? 'A member'} {said(note)}
          </li>
        ))}
      </ul>
    </section>
  );
}

function said({ what, from, to }: Schema['BoardNote']): string {
  if (what !== 'away') return `${what} on ${shortDay(from)}`;
  return to
    ? `was away from ${shortDay(from)} to ${shortDay(to)}`
    : `is away since ${shortDay(from)}`;
}
