import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Act, counted, OrderChoice, timeOfDay } from '../../ui';
import { WatchAct } from '../alerts';
import { LeaveActs } from '../export';
import { SaveSearchDialog } from '../keeping';
import { AskAct, asSeen } from '../questions';
import { mayWrite, useHere } from '../session';
import { useWaiting, type Result } from './api';
import { BySourceDialog } from './BySourceDialog';
import { CqlDialog } from './CqlDialog';
import { KeptChoice } from './KeptChoice';
import { ORDERS } from '../list';
import type { Strategy } from '../strategy';
import { useDelayed } from './useDelayed';
import type { Step } from './useSettled';

/** Milliseconds before an answer that is late is said to be. */
const SAID_AFTER = 500;

/** What came in and matches; where nothing did, by how many the count differs all the same. */
function sinceThen({ came, more }: { came: number; more: number }): string {
  if (came > 0) return `${counted(came, 'publication')} came or changed that match`;
  return more > 0 ? `${more} more` : `${-more} fewer`;
}

/** Publications that one file holds. */
const MOST_RECORDS = 100_000;

/** So many entries a bibliography holds. */
const MOST_ENTRIES = 5_000;

/** One line between sheet and list: the count, its change, the state, the order, what can be done. */
export function ResultBar({
  result,
  strategy,
  order,
  stale,
  slow,
  before,
  since,
  stripped,
  kept,
  onKept,
  onAgain,
  onStep,
  onCopy,
  onCancel,
  onOrder,
  onStrip,
  onMoveOn,
  onStrategy,
}: {
  result: Result;
  strategy: Strategy;
  order: string;
  stale: boolean;
  /** Whether an answer is on the way. */
  slow: boolean;
  /** The count shown before, to compare with. */
  before: number | undefined;
  /** What came in since that matches, and by how many the count differs now. */
  since: { came: number; more: number };
  stripped: boolean;
  /** What of it is listed: `nowhere`, or a folder; empty: all. */
  kept: string;
  onKept: (kept: string) => void;
  /** Asks anew: what was kept meanwhile is listed elsewhere. */
  onAgain: () => void;
  /** Settles what is shown, if it is not settled, and answers its address. */
  onStep: () => Promise<Step | null>;
  onCopy: (path: string) => void;
  onCancel: () => void;
  onOrder: (order: string) => void;
  onStrip: () => void;
  onMoveOn: () => void;
  onStrategy: (strategy: Strategy) => void;
}) {
  const here = useHere();
  const [open, setOpen] = useState<'save' | 'cql' | 'sources' | null>(null);
  const close = () => setOpen(null);
  const { count, listed, ids, at } = result.answer;
  const waiting = useDelayed(slow, SAID_AFTER) && slow;
  const navigate = useNavigate();
  const [params] = useSearchParams();
  // What is done with a result settles it: its address and its step are then there for good.
  const withStep = (then: (q: string) => void) => () =>
    void onStep().then((made) => made && then(made.q));
  return (
    <section aria-label="Result" className="bar">
      <p role="status" className={stale ? 'text-faint' : ''}>
        <b className="font-serif text-[21px] font-semibold">{count.toLocaleString('en-GB')}</b>{' '}
        {count === 1 ? 'publication' : 'publications'}
        {stale && ' for the lines before'}
      </p>
      {waiting && <StillCounting onCancel={onCancel} />}
      {before !== undefined && before !== count && (
        <span className="text-soft">was {before.toLocaleString('en-GB')}</span>
      )}
      <span className="text-soft max-lg:hidden">catalogue of {timeOfDay(at, here.today)}</span>
      {(since.came > 0 || since.more !== 0) && (
        <span>
          since then {sinceThen(since)} <Act onClick={onMoveOn}>Move on</Act>
        </span>
      )}
      {kept && (
        <span role="status">
          {stale ? 'looking for those' : `the list shows the ${listed.toLocaleString('en-GB')}`}{' '}
          that are {kept === 'nowhere' ? 'kept nowhere yet' : 'in this folder'}; files and alerts
          are of all <Act onClick={onAgain}>Look again</Act>{' '}
          <Act onClick={() => onKept('')}>Show all</Act>
        </span>
      )}
      {listed > ids.length && (
        <span className="text-soft">
          the list shows the first {counted(ids.length, 'publication')}; narrow it, turn the order
          {count <= MOST_RECORDS ? ', or export all' : '; up to 100,000 can be exported'}
        </span>
      )}
      {result.answer.unheaded != null && !stale && (
        <span className="basis-full text-[13px] text-soft">
          Headings alone: {counted(result.answer.unheaded, 'publication')} of the last 90 days that{' '}
          {result.answer.unheaded === 1 ? 'meets' : 'meet'} the other lines{' '}
          {result.answer.unheaded === 1 ? 'has' : 'have'} none; words find those.
        </span>
      )}
      <KeptChoice group={here.id} kept={kept} onKept={onKept} />
      <OrderChoice orders={ORDERS} order={order} onOrder={onOrder} />
      <span className="flex flex-wrap gap-x-4">
        {mayWrite(here) && (
          <Act disabled={stale} onClick={() => setOpen('save')}>
            Save search
          </Act>
        )}
        <WatchAct name="" strategy={strategy} disabled={stale} />
        <Act disabled={stale} onClick={withStep((q) => onCopy(`/q/${q}`))}>
          Stable link
        </Act>
        <LeaveActs
          disabled={stale || count === 0}
          of={async () => {
            const made = await onStep();
            return made && { q: made.q };
          }}
        />
        <Act
          disabled={stale || count === 0 || count > MOST_ENTRIES}
          onClick={withStep((q) =>
            window.location.assign(`/api/groups/${here.id}/q/${q}/bibliography/docx`),
          )}
        >
          Bibliography
        </Act>
        <AskAct
          disabled={stale}
          seen={async () => {
            const made = await onStep();
            return made && { q: made.q, place: asSeen(`/q/${made.q}`, params) };
          }}
        />
        <Act
          disabled={stale}
          onClick={withStep((q) => void navigate(`/g/${here.id}/report?of=q:${q}`))}
        >
          Report
        </Act>
        <Act
          disabled={stale}
          onClick={withStep((q) => void navigate(`/g/${here.id}/compare?one=q:${q}`))}
        >
          Compare
        </Act>
        <Act onClick={() => setOpen('cql')}>CQL</Act>
        <Act disabled={stale} onClick={() => setOpen('sources')}>
          By source
        </Act>
        <Act aria-expanded={stripped} onClick={onStrip}>
          Breakdown
        </Act>
      </span>
      {open === 'save' && (
        <SaveSearchDialog group={here.id} strategy={strategy} count={count} onClose={close} />
      )}
      {open === 'cql' && <CqlDialog strategy={strategy} onStrategy={onStrategy} onClose={close} />}
      {open === 'sources' && <BySourceDialog strategy={strategy} onClose={close} />}
    </section>
  );
}

/** An answer that takes its time; searches of one's own are worked off one after the other. */
function StillCounting({ onCancel }: { onCancel: () => void }) {
  const here = useHere();
  const own = useWaiting(here.id).data?.own ?? 0;
  return (
    <span aria-live="polite">
      still counting{own > 0 && `; ${counted(own, 'search', 'searches')} of yours wait their turn`}{' '}
      <Act onClick={onCancel}>Cancel</Act>
    </span>
  );
}
