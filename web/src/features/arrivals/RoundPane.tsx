import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import {
  Act,
  counted,
  Failed,
  leaving,
  ListPane,
  TwoPanes,
  useCopyLink,
  useKeys,
  usePlace,
  Waiting,
} from '../../ui';
import { LeaveActs } from '../export';
import { useLeaf, useMark, useMarkKeys, type MarkWord } from '../publication';
import { mayWrite, useHere } from '../session';
import { AskAct, asSeen } from '../questions';
import { useRound } from './api';
import { ArrivalLeaf } from './ArrivalLeaf';
import { ArrivalRow } from './ArrivalRow';

type Arrival = Schema['ArrivalShown'];

/** The arrivals of a round. A mark goes on to the next one that is still unlit. */
export function RoundPane({ round, onNext }: { round: string; onNext: () => void }) {
  const here = useHere();
  const found = useRound(here.id, round);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the round" />;
  return <Loaded view={found.data} onNext={onNext} />;
}

function isLit(arrival: Arrival, me: string): boolean {
  return arrival.lamps.some((lamp) => lamp.member === me && lamp.lamp === 'lit');
}

function Loaded({ view, onNext }: { view: Schema['RoundView']; onNext: () => void }) {
  const here = useHere();
  const me = here.me.id;
  const [params, setParams] = useSearchParams();
  const [reason, setReason] = useState('');
  const [focusOn, setFocusOn] = useState(0);
  const mark = useMark(here.id);
  const copy = useCopyLink();
  const { arrivals, folder, round } = view;
  const left = arrivals.filter((arrival) => !arrival.hereSince && !isLit(arrival, me)).length;
  const wanted = params.get('p');
  const first = arrivals.findIndex((arrival) => !isLit(arrival, me));
  const at = arrivals.findIndex((arrival) => arrival.publication.id === wanted);
  const chosen = wanted && at >= 0 ? at : Math.max(0, first);
  const arrival = arrivals[chosen];
  const id = arrival?.publication.id ?? '';
  const leaf = useLeaf(here.id, id, null);
  // What is pressed next, and typed then, is meant for this one.
  const choose = (index: number) =>
    setParams({ p: arrivals[index]?.publication.id ?? '' }, { replace: true, flushSync: true });
  const place = usePlace(chosen, arrivals.length, choose);
  const next = place.step;
  const writes = mayWrite(here) && id !== '';
  const say = (word: MarkWord) => {
    const now = place.now();
    const publication = arrivals[now]?.publication.id;
    if (!writes || !publication) return;
    mark.mutate({ publications: [publication], mark: word, reason, round: round.id });
    setReason('');
    const unlit = arrivals.findIndex((other, i) => i > now && !isLit(other, me));
    if (unlit >= 0) {
      place.go(unlit);
      setFocusOn((n) => n + 1);
    }
  };
  useMarkKeys({
    may: writes,
    current: () => arrivals[place.now()]?.publication.id ?? '',
    reached: () => true,
    onMark: say,
  });
  useKeys({
    l: () => leaf.data && copy(leaf.data.stableLink),
    n: () => document.getElementById('reason')?.focus(),
    j: () => next(1),
    k: () => next(-1),
  });
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <section aria-label="This round" className="bar">
        <p role="status">
          {mayWrite(here) ? (
            <>
              <b className="font-serif text-[21px] font-semibold">{left}</b> left for you in this
              round
            </>
          ) : (
            'You read along as a guest'
          )}
        </p>
        <span className="text-soft">
          {counted(arrivals.length, 'arrival')} · {classes(arrivals)}
        </span>
        {mayWrite(here) && (
          <Act hint="r" onClick={onNext}>
            Next round that waits
          </Act>
        )}
        <LeaveActs disabled={arrivals.length === 0} of={() => ({ round: round.id })} />
        <AskAct seen={() => ({ place: asSeen(`/r/${round.id}`, params) })} />
      </section>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={() => setParams({}, { replace: true })}
        list={
          <div
            className="h-full"
            {...leaving(
              arrivals.map((one) => one.publication.id),
              place.go,
            )}
          >
            <ListPane
              label="Arrivals"
              count={arrivals.length}
              chosen={chosen}
              onStep={next}
              focusOn={focusOn}
            >
              {(index) =>
                arrivals[index] && (
                  <ArrivalRow
                    arrival={arrivals[index]}
                    group={here}
                    quiet={isLit(arrivals[index], me)}
                    onChoose={() => place.go(index)}
                  />
                )
              }
            </ListPane>
          </div>
        }
        leaf={
          leaf.data &&
          arrival && (
            <ArrivalLeaf
              leaf={leaf.data}
              arrival={arrival}
              group={here}
              alertName={round.alertName}
              folder={folder.name}
              reason={reason}
              onReason={setReason}
              onMark={say}
              onLink={() => leaf.data && copy(leaf.data.stableLink)}
            />
          )
        }
      />
    </div>
  );
}

function classes(arrivals: Arrival[]): string {
  const counts = new Map<string, number>();
  for (const { newClass } of arrivals) counts.set(newClass, (counts.get(newClass) ?? 0) + 1);
  return [...counts].map(([word, n]) => `${n} ${word}`).join(', ');
}
