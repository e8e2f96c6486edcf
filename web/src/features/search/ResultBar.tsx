import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, timeOfDay } from '../../ui';
import { SaveSearchDialog } from '../folders';
import { mayWrite, useHere } from '../session';
import { BySourceDialog } from './BySourceDialog';
import { CqlDialog } from './CqlDialog';
import { ORDERS } from './orders';
import type { Strategy } from '../strategy';

/** Publications that one file holds. */
const MOST_RECORDS = 20_000;

/** One line between sheet and list: the count, its change, the state, the order, what can be done. */
export function ResultBar({
  result,
  strategy,
  order,
  stale,
  before,
  since,
  stripped,
  link,
  report,
  records,
  onOrder,
  onStrip,
  onMoveOn,
  onStrategy,
}: {
  result: Schema['SearchResult'];
  strategy: Strategy;
  order: string;
  stale: boolean;
  before: number | undefined;
  since: number;
  stripped: boolean;
  link: (() => void) | undefined;
  report: string | undefined;
  /** Where the settled search can be fetched whole. */
  records: string | undefined;
  onOrder: (order: string) => void;
  onStrip: () => void;
  onMoveOn: () => void;
  onStrategy: (strategy: Strategy) => void;
}) {
  const here = useHere();
  const [open, setOpen] = useState<'save' | 'cql' | 'sources' | null>(null);
  const close = () => setOpen(null);
  const { count, ids, at } = result.answer;
  const reverse = order.startsWith('-');
  const plain = reverse ? order.slice(1) : order;
  return (
    <section aria-label="Result" className="bar">
      <p role="status" className={stale ? 'text-faint' : ''}>
        <b className="font-serif text-[21px] font-semibold">{count.toLocaleString('en-GB')}</b>{' '}
        {count === 1 ? 'publication' : 'publications'}
        {stale && ' for the lines before'}
      </p>
      {before !== undefined && before !== count && (
        <span className="text-soft">was {before.toLocaleString('en-GB')}</span>
      )}
      <span className="text-soft max-lg:hidden">catalogue of {timeOfDay(at, here.today)}</span>
      {since !== 0 && (
        <span>
          since then {since > 0 ? `${since} more` : `${-since} fewer`}{' '}
          <Act onClick={onMoveOn}>Move on</Act>
        </span>
      )}
      {count > ids.length && (
        <span className="text-soft">
          the list shows the first {counted(ids.length, 'publication')}; narrow it, turn the order
          {records && count <= MOST_RECORDS ? (
            <>
              , or{' '}
              <a className="act" href={records}>
                take all as RIS
              </a>
            </>
          ) : (
            '; a settled search of up to 20,000 can be taken as RIS'
          )}
        </span>
      )}
      {result.answer.unheaded != null && !stale && (
        <span className="basis-full text-[13px] text-soft">
          Headings alone: {counted(result.answer.unheaded, 'publication')} of the last 90 days that{' '}
          {result.answer.unheaded === 1 ? 'meets' : 'meet'} the other lines{' '}
          {result.answer.unheaded === 1 ? 'has' : 'have'} none; words find those.
        </span>
      )}
      <span className="flex items-baseline gap-2 text-soft">
        <select
          aria-label="Order"
          className="min-h-[24px] cursor-pointer bg-base-100"
          value={plain}
          onChange={(event) => onOrder(event.target.value)}
        >
          {ORDERS.map(([name, label, other]) => (
            <option key={name} value={name}>
              {reverse && name === plain ? other : label}
            </option>
          ))}
        </select>
        <Act onClick={() => onOrder(reverse ? plain : `-${plain}`)}>Turn</Act>
      </span>
      <span className="flex flex-wrap gap-x-4">
        {mayWrite(here) && (
          <Act disabled={stale} onClick={() => setOpen('save')}>
            Save search
          </Act>
        )}
        {link && <Act onClick={link}>Address</Act>}
        {report && (
          <Link className="act" to={report}>
            Report
          </Link>
        )}
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
