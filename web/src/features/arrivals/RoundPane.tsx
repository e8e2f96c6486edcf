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
  useNotice,
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
import { comesAs, isToReview, waitsFor } from './occasions';

type Arrival = Schema['ArrivalShown'];

/** The arrivals of a round. A mark goes on to the next one that is still unlit. */
export function RoundPane({ round, onNext }: { round: string; onNext: () => void }) {
  const here = useHere();
  const [params] = useSearchParams();
  const found = useRound(here.id, round, params.get('order') ?? '');
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the round" />;
  return <Loaded view={found.data} onNext={onNext} />;
}

function Loaded({ view, onNext }: { view: Schema['RoundView']; onNext: () => void }) {
  const here = useHere();
  const me = here.me.id;
  const [params, setParams] = useSearchParams();
  const [reason, setReason] = useState('');
  const [focusOn, setFocusOn] = useState(0);
  const mark = useMark(here.id);
  const copy = useCopyLink();
  const tell = useNotice();
  const { arrivals, folder, round } = view;
  const left = arrivals.filter((arrival) => !arrival.hereSince && waitsFor(arrival, me)).length;
  const wanted = params.get('p');
  const first = arrivals.findIndex((arrival) => waitsFor(arrival, me));
  const at = arrivals.findIndex((arrival) => arrival.id === wanted);
  const chosen = wanted && at >= 0 ? at : Math.max(0, first);
  const arrival = arrivals[chosen];
  const leaf = useLeaf(here.id, arrival?.publication.id ?? '', null);
  const kept = (more: Record<string, string>) => ({
    ...(params.has('order') && { order: view.order }),
    ...more,
  });
  // What is pressed next, and typed then, is meant for this one.
  const choose = (index: number) =>
    setParams(kept({ p: arrivals[index]?.id ?? '' }), { replace: true, flushSync: true });
  const place = usePlace(chosen, arrivals.length, choose);
  const next = place.step;
  const writes = mayWrite(here) && arrivals.length > 0;
  const say = (word: MarkWord) => {
    const now = place.now();
    const marked = arrivals[now];
    if (!writes || !marked) return;
    if (!isToReview(marked)) {
      tell({ text: 'Nothing was marked: this is only told.' });
      return;
    }
    mark.mutate({ publications: [marked.id], mark: word, reason, round: round.id });
    setReason('');
    const unlit = arrivals.findIndex((other, i) => i > now && waitsFor(other, me));
    if (unlit >= 0) {
      place.go(unlit);
      setFocusOn((n) => n + 1);
    }
  };
  useMarkKeys({
    may: writes,
    current: () => arrivals[place.now()]?.id ?? '',
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
        {arrivals.length > 1 && (
          <select
            aria-label="Order"
            className="min-h-[24px] cursor-pointer bg-base-100 text-soft"
            value={view.order}
            onChange={(event) => setParams({ order: event.target.value }, { replace: true })}
          >
            <option value="here">newest here first</option>
            <option value="contents">as in the issues</option>
          </select>
        )}
        <LeaveActs disabled={arrivals.length === 0} of={() => ({ round: round.id })} />
        <AskAct seen={() => ({ place: asSeen(`/r/${round.id}`, params) })} />
      </section>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={() => setParams(kept({}), { replace: true })}
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
                    quiet={!waitsFor(arrivals[index], me)}
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
  for (const arrival of arrivals)
    counts.set(comesAs(arrival), (counts.get(comesAs(arrival)) ?? 0) + 1);
  return [...counts].map(([word, n]) => `${n} ${word}`).join(', ');
}
