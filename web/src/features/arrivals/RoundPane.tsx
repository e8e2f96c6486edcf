import { useSearchParams } from 'react-router';
import { stands, type Schema } from '../../api';
import { Act, counted, Failed, Waiting } from '../../ui';
import { LeaveActs } from '../export';
import { AskAct, asSeen } from '../questions';
import { useJustSaid } from '../publication';
import { mayWrite, useHere } from '../session';
import { owedIn, useRound, type RoundShownAs } from './api';
import { ArrivalsPane } from './ArrivalsPane';
import { learnedFrom } from './because';
import { Like } from './Like';
import { afterSaid, comesAs, waitsFor } from './occasions';
import { useSteady } from './useSteady';

type Arrival = Schema['ArrivalShown'];

/** The arrivals of a round, or those that are left of it for somebody. */
export function RoundPane({ round, onNext }: { round: string; onNext: () => void }) {
  const here = useHere();
  const [params] = useSearchParams();
  const as = shownAs(params);
  const found = useRound(here.id, round, as);
  if (found.error && !stands(found)) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the round" />;
  const part = as.left ? `${as.left} ${as.order}` : '';
  return <Loaded key={part} view={found.data} as={as} onNext={onNext} />;
}

function shownAs(params: URLSearchParams): RoundShownAs {
  const order = params.get('order');
  const left = params.get('left');
  return { ...(order && { order }), ...(left && { left }) };
}

function Loaded({
  view,
  as,
  onNext,
}: {
  view: Schema['RoundView'];
  as: RoundShownAs;
  onNext: () => void;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { folder, round } = view;
  const justSaid = useJustSaid(here);
  const arrivals = view.arrivals.map((one) => afterSaid(one, justSaid.get(one.id), here.me.id));
  const listed = arrivals.map((arrival) => ({
    arrival,
    round: {
      id: round.id,
      alertName: round.alertName,
      n: round.n,
      folder,
      apart: round.covers === 'apart' ? round.asked : 0,
    },
  }));
  // A whole round loses nothing while one goes through it.
  const steady = useSteady(as.left ? listed : [], here.me.id);
  const entries = as.left ? steady.entries : listed;
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <section aria-label="This round" className="bar">
        {as.left ? (
          <>
            <p role="status">
              <b className="font-serif text-[21px] font-semibold">{arrivals.length}</b>{' '}
              {leftFor(as.left, here)} in this round
            </p>
            <Act onClick={() => setParams(as.order ? { order: as.order } : {})}>
              The whole round
            </Act>
          </>
        ) : (
          <Mine arrivals={arrivals} left={leftNow(view, arrivals, here.me.id)} />
        )}
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
            onChange={(event) => setParams({ ...as, order: event.target.value }, { replace: true })}
          >
            <option value="here">newest here first</option>
            <option value="contents">as in the issues</option>
            <option value="kept">what we tend to keep first</option>
          </select>
        )}
        <LeaveActs disabled={arrivals.length === 0} of={() => ({ round: round.id })} />
        <AskAct seen={() => ({ place: asSeen(`/r/${round.id}`, params) })} />
        {view.learned && <p className="basis-full text-soft">{learnedFrom(view.learned)}</p>}
      </section>
      {entries.length > 0 ? (
        <ArrivalsPane
          label="Arrivals"
          entries={entries}
          kept={as}
          below={({ arrival }) => <Like because={arrival.because} />}
          onSaid={steady.said}
        />
      ) : (
        <p className="page text-soft">Nothing is {leftFor(as.left ?? '', here)} in this round.</p>
      )}
    </div>
  );
}

/** How much waits for the reader, with what was just said and is on its way. */
function leftNow(view: Schema['RoundView'], arrivals: readonly Arrival[], me: string): number {
  const waiting = (some: readonly Arrival[]) => some.filter((one) => waitsFor(one, me)).length;
  return Math.max(0, owedIn(view.round, me) - waiting(view.arrivals) + waiting(arrivals));
}

/** How much waits for the reader, and what there is. */
function Mine({ arrivals, left }: { arrivals: Arrival[]; left: number }) {
  const here = useHere();
  return (
    <>
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
    </>
  );
}

/** For whom something is left. */
function leftFor(left: string, here: Schema['GroupView']): string {
  if (left === 'nobody') return 'seen by nobody';
  if (left === 'uncovered') return 'not covered yet';
  const of = here.members.find(({ id }) => id === left);
  return `left for ${of?.id === here.me.id ? 'you' : (of?.name ?? 'a former member')}`;
}

function classes(arrivals: Arrival[]): string {
  const counts = new Map<string, number>();
  for (const arrival of arrivals)
    counts.set(comesAs(arrival), (counts.get(comesAs(arrival)) ?? 0) + 1);
  return [...counts].map(([word, n]) => `${n} ${word}`).join(', ');
}
