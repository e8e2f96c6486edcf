import type { ReactNode } from 'react';
import type { Schema } from '../../api';
import { Act, counted, Lamp, listed, people } from '../../ui';
import { Leaf, MarkActs, Ties, usePutOut, type MarkWord } from '../publication';
import { mayWrite } from '../session';
import { comesAgain, decidedApart, isToReview, whatHappened, type Entry } from './occasions';
import { Reason } from './Reason';

type Props = {
  /** None as long as it is on its way: it can be marked already. */
  leaf: Schema['Leaf'] | undefined;
  /** Why it does not come; empty as long as it may. */
  trouble: string;
  entry: Entry;
  group: Schema['GroupView'];
  reason: string;
  onReason: (reason: string) => void;
  onMark: (word: MarkWord) => void;
  /** How many are ticked: then it is those that are marked, where they are counted. */
  ticked: number;
  onLink: () => void;
};

/** An arrival: what can be said of it, why it is here, and what everybody said. */
export function ArrivalLeaf(props: Props) {
  const { leaf, entry, group } = props;
  const { arrival, round } = entry;
  const out = usePutOut(group.id);
  const apart = decidedApart(entry, group.me.id);
  const acts = (
    <>
      {comesAgain(arrival) && <Again arrival={arrival} me={group.me.id} />}
      {mayWrite(group) && isToReview(arrival) && props.ticked === 0 && <Marks {...props} />}
      {props.ticked > 0 && (
        <p className="mt-2 text-soft">
          What is said now is said of {counted(props.ticked, 'arrival')} that you ticked.
        </p>
      )}
    </>
  );
  if (!leaf) {
    return (
      <Awaited arrival={arrival} trouble={props.trouble}>
        {acts}
      </Awaited>
    );
  }
  // What members say stands below with all lamps; the leaf itself need not repeat it.
  return (
    <Leaf
      leaf={{ ...leaf, said: [] }}
      acts={acts}
      first={
        <>
          <h3 className="small-head mt-3">Why it is here</h3>
          {!round ? (
            <p>It was marked where somebody met it; no alert found it.</p>
          ) : comesAgain(arrival) ? (
            <p>{round.alertName} found it before.</p>
          ) : (
            <p>
              {round.alertName}:{' '}
              {arrival.words.map((met) => `${met.typed} in ${listed(met.fields)}`).join(', ') ||
                'it matches the search'}
            </p>
          )}
          <Ties key={`ties of ${arrival.publication.id}`} publication={arrival.publication.id} />
          {isToReview(arrival) ? (
            <>
              <h3 className="small-head mt-3">What the group says</h3>
              {apart > 0 && (
                <p className="text-soft">
                  {apart} members decide on it apart: what others say is shown, and a keep comes
                  into the folder, when {apart === 2 ? 'both' : 'all of them'} have decided.
                </p>
              )}
              <ul className="space-y-0.5">
                {arrival.lamps.map((lamp) => (
                  <SaidBy
                    key={lamp.member}
                    lamp={lamp}
                    group={group}
                    apart={apart > 0}
                    onOut={() => out.mutate([arrival.id])}
                  />
                ))}
              </ul>
            </>
          ) : (
            <p className="mt-3 text-soft">This is told once; there is nothing to say of it.</p>
          )}
        </>
      }
    />
  );
}

/** What its row tells of it already. */
function Awaited({
  arrival,
  trouble,
  children,
}: {
  arrival: Schema['ArrivalShown'];
  trouble: string;
  children: ReactNode;
}) {
  const { title, authors, where, year } = arrival.publication;
  return (
    <>
      <h2 className="font-serif text-[21px] leading-[1.22] font-semibold text-balance">{title}</h2>
      <p className="mt-1 text-soft">{[people(authors), where, year].filter(Boolean).join(' · ')}</p>
      {children}
      <p className="mt-2 text-soft">{trouble || 'The rest is on its way.'}</p>
    </>
  );
}

/** What happened to it, and what one had said before. */
function Again({ arrival, me }: { arrival: Schema['ArrivalShown']; me: string }) {
  const before = arrival.lamps.find((lamp) => lamp.member === me)?.before;
  return (
    <p className="mt-2">
      <b className="font-semibold text-error">{whatHappened(arrival)}</b>
      {before && <span className="text-soft"> You had said: {before}.</span>}
    </p>
  );
}

function Marks({ entry, group, reason, onReason, onMark, onLink }: Props) {
  const { arrival, round } = entry;
  return (
    <>
      <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-1">
        <MarkActs
          keep={
            comesAgain(arrival) ? 'Keep it still' : round ? `Keep in ${round.folder.name}` : 'Keep'
          }
          main
          keys
          onMark={onMark}
        />
        <Act hint="l" onClick={onLink}>
          Stable link
        </Act>
      </div>
      <div className="mt-2 flex">
        <Reason id="reason" group={group} reason={reason} onReason={onReason} hint="n" />
      </div>
    </>
  );
}

function SaidBy({
  lamp,
  group,
  apart,
  onOut,
}: {
  lamp: Schema['LampShown'];
  group: Schema['GroupView'];
  /** Of what others say it is told only that they have looked. */
  apart: boolean;
  onOut: () => void;
}) {
  const name = group.members.find((member) => member.id === lamp.member)?.name;
  const mine = lamp.member === group.me.id;
  return (
    <li className="grid grid-cols-[18px_minmax(0,9rem)_88px_1fr] items-center text-[13.5px]">
      <Lamp state={lamp.lamp} label={`lamp ${lamp.lamp}`} />
      <span className="truncate">{name}</span>
      {lamp.mark ? (
        <b>{apart && !mine ? 'reviewed' : lamp.mark}</b>
      ) : (
        <span className="text-faint">not yet</span>
      )}
      <span className="text-soft">
        {lamp.before && `before that: ${lamp.before} `}
        {lamp.reason && `“${lamp.reason}” `}
        {lamp.mark && mine && <Act onClick={onOut}>put out</Act>}
      </span>
    </li>
  );
}
