import type { ReactNode } from 'react';
import type { Schema } from '../../api';
import { Lamp, PublicationRow } from '../../ui';
import { mayWrite } from '../session';
import { comesAs, isToReview } from './occasions';

/** The lamps of all members in a fixed order, then the publication. */
export function ArrivalRow({
  arrival,
  group,
  quiet,
  ticked,
  below,
  onTick,
  onChoose,
}: {
  arrival: Schema['ArrivalShown'];
  group: Schema['GroupView'];
  quiet: boolean;
  ticked: boolean;
  below?: ReactNode;
  /** None for whoever may mark nothing, and for what is only told. */
  onTick: (() => void) | undefined;
  onChoose: () => void;
}) {
  return (
    <PublicationRow
      publication={arrival.publication}
      to={`/g/${group.id}/p/${arrival.publication.id}`}
      quiet={quiet}
      onChoose={onChoose}
      tick={
        mayWrite(group) && (
          <input
            type="checkbox"
            aria-label={`Tick ${arrival.publication.title}`}
            className={`mt-1 size-[14px] flex-none cursor-pointer accent-primary ${onTick ? '' : 'invisible'}`}
            checked={ticked}
            onChange={() => onTick?.()}
          />
        )
      }
      lamp={
        isToReview(arrival) ? <Lamps arrival={arrival} group={group} /> : <NoLamps group={group} />
      }
      before={comesAs(arrival) && `${comesAs(arrival)} · `}
      below={below}
    />
  );
}

/** As wide as lamps are. */
function NoLamps({ group }: { group: Schema['GroupView'] }) {
  return (
    <span className="flex gap-1.5" aria-hidden="true">
      {group.members
        .filter(({ role }) => role !== 'guest')
        .map(({ id }) => (
          <span key={id} className="w-4" />
        ))}
    </span>
  );
}

function Lamps({
  arrival,
  group,
}: {
  arrival: Schema['ArrivalShown'];
  group: Schema['GroupView'];
}) {
  return (
    <ul aria-label="Lamps" className="flex gap-1.5">
      {arrival.lamps.map((lamp) => {
        const member = group.members.find((one) => one.id === lamp.member);
        const mine = lamp.member === group.me.id;
        return (
          <li
            key={lamp.member}
            className={`flex w-4 flex-col items-center text-[11px] leading-[13px] ${
              mine ? 'font-bold' : 'text-faint'
            }`}
          >
            <Lamp
              state={lamp.lamp}
              label={`${member?.name ?? 'a former member'}: ${lamp.mark ?? 'not yet'}`}
            />
            <span aria-hidden="true">{member?.letters}</span>
          </li>
        );
      })}
    </ul>
  );
}
