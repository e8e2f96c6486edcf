import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { Progress, spanOf } from '../board';
import { HelpLink, Own } from '../help';

type Round = Schema['RoundLine'];

/** Who is through with which round, and what nobody has seen. */
export function Board({
  group,
  rounds,
  shown,
  older = 0,
  busy = false,
  lists,
  onOlder,
}: {
  group: Schema['GroupView'];
  rounds: Round[];
  shown: string;
  /** How many more rounds there are. */
  older?: number;
  busy?: boolean;
  /** The ways to lists over all rounds. */
  lists?: ReactNode;
  onOlder?: () => void;
}) {
  const members = group.members.filter((member) => member.role !== 'guest');
  return (
    <section
      aria-label="Rounds"
      tabIndex={0}
      className="max-h-[30vh] overflow-auto border-b border-base-300 bg-base-200 px-4 py-2 lg:px-6"
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <HelpLink place="arrivals" />
        {lists}
      </div>
      <table className="w-full text-left text-[13.5px]">
        <thead className="text-[13px] text-soft max-lg:sr-only">
          <tr>
            <th scope="col" className="pr-4 font-normal">
              <Own word="round">Round</Own>
            </th>
            {members.map((member) => (
              <th key={member.id} scope="col" className="pr-3 font-normal">
                {member.name.split(' ')[0]}
                {member.away && <span className="block text-[12px]">away</span>}
              </th>
            ))}
            <th scope="col" className="pr-3 text-right font-normal">
              <Own word="covered" />
            </th>
            <th scope="col" className="text-right font-normal">
              nobody yet
            </th>
          </tr>
        </thead>
        <tbody>
          {rounds.map((round) => (
            <tr key={round.id} className={round.id === shown ? 'font-semibold' : ''}>
              <th
                scope="row"
                className={`max-w-[20rem] truncate py-[3px] pr-4 ${
                  round.id === shown ? 'font-semibold' : 'font-normal'
                }`}
              >
                <Link
                  className="font-serif text-[15.5px]"
                  aria-current={round.id === shown ? 'true' : undefined}
                  to={`/g/${group.id}/r/${round.id}`}
                >
                  {round.alertName}, {spanOf({ from: round.opens, to: round.closed ?? null })}
                </Link>
              </th>
              {members.map((member) => (
                <td key={member.id} className="pr-3 max-lg:hidden">
                  <Progress
                    done={round.reviewed[member.id] ?? 0}
                    of={round.shares[member.id] ?? round.arrivals}
                  />
                </td>
              ))}
              <td className="pr-3 text-right max-lg:hidden">
                {round.covered} of {round.arrivals}
              </td>
              <td className={`text-right ${round.nobody > 0 ? 'font-semibold text-lit-ink' : ''}`}>
                {round.nobody}
                <span className="lg:sr-only"> seen by nobody yet</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {older > 0 && (
        <Act disabled={busy} onClick={onOlder}>
          {counted(older, 'older round')}
        </Act>
      )}
    </section>
  );
}
