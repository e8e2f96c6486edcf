import { useSearchParams } from 'react-router';
import { stands, type Schema } from '../../api';
import { Act, counted, Failed, Waiting } from '../../ui';
import { LeaveActs } from '../export';
import { AskAct, asSeen } from '../questions';
import { useJustSaid } from '../publication';
import { mayWrite, useHere } from '../session';
import { useRound } from './api';
import { ArrivalsPane } from './ArrivalsPane';
import { learnedFrom, likeWhatWasKept } from './because';
import { afterSaid, comesAs, waitsFor } from './occasions';

type Arrival = Schema['ArrivalShown'];

/** The arrivals of a round. */
export function RoundPane({ round, onNext }: { round: string; onNext: () => void }) {
  const here = useHere();
  const [params] = useSearchParams();
  const found = useRound(here.id, round, params.get('order') ?? '');
  if (found.error && !stands(found)) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the round" />;
  return <Loaded view={found.data} onNext={onNext} />;
}

function Loaded({ view, onNext }: { view: Schema['RoundView']; onNext: () => void }) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { folder, round } = view;
  const justSaid = useJustSaid(here);
  const arrivals = view.arrivals.map((one) => afterSaid(one, justSaid.get(one.id), here.me.id));
  const left = arrivals.filter(
    (arrival) => !arrival.hereSince && waitsFor(arrival, here.me.id),
  ).length;
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
            <option value="kept">what we tend to keep first</option>
          </select>
        )}
        <LeaveActs disabled={arrivals.length === 0} of={() => ({ round: round.id })} />
        <AskAct seen={() => ({ place: asSeen(`/r/${round.id}`, params) })} />
        {view.learned && <p className="basis-full text-soft">{learnedFrom(view.learned)}</p>}
      </section>
      <ArrivalsPane
        label="Arrivals"
        entries={arrivals.map((arrival) => ({
          arrival,
          round: { id: round.id, alertName: round.alertName, n: round.n, folder },
        }))}
        kept={params.has('order') ? { order: view.order } : {}}
        below={({ arrival }) =>
          arrival.because.length > 0 && (
            <p className="text-[13px] text-soft">
              like what you kept: {likeWhatWasKept(arrival.because)}
            </p>
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
