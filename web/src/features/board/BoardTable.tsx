import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, shortDay } from '../../ui';
import { Own } from '../help';
import { Progress } from './Progress';
import { nameOf, spanOf, wayTo } from './span';

/** So many members stand beside each other with bars beside their numbers. */
const WIDE = 7;

/** Members across, what came down: each cell leads to what it counts. */
export function BoardTable({
  board,
  only,
  group,
}: {
  board: Schema['BoardView'];
  /** The alert that it is of; empty: of all. */
  only: string;
  group: Schema['GroupView'];
}) {
  const way = (row: Schema['BoardRow'], left = '') => wayTo(group.id, row, board, only, left);
  const members = group.members.filter((member) => member.role !== 'guest');
  const narrow = members.length > WIDE;
  return (
    <div
      role="region"
      aria-label="Board"
      tabIndex={0}
      className="relative mt-4 max-w-full overflow-x-auto"
    >
      <table className="w-full text-left text-[13.5px]">
        <thead className="text-[13px] text-soft">
          <tr className="border-b border-base-300">
            <Head>
              {board.by === 'week' ? (
                'Week'
              ) : board.by === 'alert' ? (
                'Alert'
              ) : (
                <Own word="round">Round</Own>
              )}
            </Head>
            {members.map((member) => (
              <th
                key={member.id}
                scope="col"
                className="pr-3 pb-1 align-bottom font-normal"
                title={member.name}
              >
                {narrow ? member.letters : member.name.split(' ')[0]}
                <span className="sr-only">{narrow && `: ${member.name}`}</span>
                {member.away && <span className="block text-[12px]">away</span>}
              </th>
            ))}
            <Head end>
              <Own word="covered" />
            </Head>
            <Head end>oldest waiting</Head>
            <Head end>nobody yet</Head>
          </tr>
        </thead>
        <tbody>
          {board.rows.map((row) => (
            <tr key={`${row.round} ${row.alert} ${row.from}`} className="border-b border-base-300">
              <th scope="row" className="max-w-[22rem] py-[5px] pr-4 font-normal">
                <Link className="mr-2 font-serif text-[15.5px]" to={way(row)}>
                  {row.name || spanOf(row)}
                </Link>
                <span className="inline-block text-[12.5px] text-faint">
                  {[row.name && spanOf(row), row.round ? '' : counted(row.rounds, 'round')]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </th>
              {members.map(({ id, name }) => {
                const done = row.reviewed[id] ?? 0;
                const of = row.shares[id] ?? row.arrivals;
                return (
                  <td key={id} className="pr-3">
                    {of === 0 ? (
                      <Progress done={done} of={of} narrow={narrow} />
                    ) : (
                      <Link
                        className="block no-underline hover:underline"
                        aria-label={`${name}: ${done} of ${of} reviewed, ${nameOf(row)}`}
                        to={way(row, done < of ? id : '')}
                      >
                        <Progress done={done} of={of} narrow={narrow} />
                      </Link>
                    )}
                  </td>
                );
              })}
              <td className="pr-3 text-right whitespace-nowrap">
                {row.covered === row.arrivals ? (
                  row.arrivals > 0 ? (
                    'all'
                  ) : (
                    '–'
                  )
                ) : (
                  <Link
                    aria-label={`${row.covered} of ${row.arrivals} covered, ${nameOf(row)}`}
                    to={way(row, 'uncovered')}
                  >
                    {row.covered} of {row.arrivals}
                  </Link>
                )}
              </td>
              <td className="pr-3 text-right whitespace-nowrap text-soft">
                {row.waitingSince ? `since ${shortDay(row.waitingSince)}` : ''}
              </td>
              <td className="text-right">
                {row.nobody > 0 ? (
                  <Link
                    className="font-semibold text-lit-ink"
                    aria-label={`${row.nobody} seen by nobody yet, ${nameOf(row)}`}
                    to={way(row, 'nobody')}
                  >
                    {row.nobody}
                  </Link>
                ) : (
                  0
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Head({ end = false, children }: { end?: boolean; children: ReactNode }) {
  return (
    <th
      scope="col"
      className={`pr-3 pb-1 align-bottom font-normal ${end ? 'text-right last:pr-0' : ''}`}
    >
      {children}
    </th>
  );
}
