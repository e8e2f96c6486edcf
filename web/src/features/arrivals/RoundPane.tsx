import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { counted, Failed, ListPane, TwoPanes, useKeys, Waiting } from '../../ui';
import { useCopyLink, useLeaf, useMark } from '../publication';
import { mayWrite, useHere } from '../session';
import { useRound } from './api';
import { ArrivalLeaf } from './ArrivalLeaf';
import { ArrivalRow } from './ArrivalRow';
import { MARKS } from './marks';

type Arrival = Schema['ArrivalShown'];

/** The arrivals of a round. A mark goes on to the next one that is still unlit. */
export function RoundPane({ round }: { round: string }) {
  const here = useHere();
  const found = useRound(here.id, round);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the round" />;
  return <Loaded view={found.data} />;
}

function isLit(arrival: Arrival, me: string): boolean {
  return arrival.lamps.some((lamp) => lamp.member === me && lamp.lamp === 'lit');
}

function Loaded({ view }: { view: Schema['RoundView'] }) {
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
  const choose = (index: number) =>
    setParams({ p: arrivals[index]?.publication.id ?? '' }, { replace: true });
  const writes = mayWrite(here) && id !== '';
  const say = (word: string) => () => {
    if (!writes) return;
    mark.mutate({ publication: id, mark: word, reason, round: round.id });
    setReason('');
    const next = arrivals.findIndex((other, i) => i > chosen && !isLit(other, me));
    if (next >= 0) {
      choose(next);
      setFocusOn((n) => n + 1);
    }
  };
  useKeys({
    ...Object.fromEntries(MARKS.map(({ key, word }) => [key, say(word)])),
    l: () => leaf.data && copy(leaf.data.stableLink),
    n: () => document.getElementById('reason')?.focus(),
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
      </section>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={() => setParams({}, { replace: true })}
        list={
          <ListPane
            label="Arrivals"
            count={arrivals.length}
            chosen={chosen}
            onChoose={choose}
            focusOn={focusOn}
          >
            {(index) =>
              arrivals[index] && (
                <ArrivalRow
                  arrival={arrivals[index]}
                  group={here}
                  quiet={isLit(arrivals[index], me)}
                  chosen={index === chosen}
                  onChoose={() => choose(index)}
                />
              )
            }
          </ListPane>
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
              onMark={(word) => say(word)()}
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
