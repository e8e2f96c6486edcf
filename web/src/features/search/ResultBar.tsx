import { useState } from 'react';
import { useLocation } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { SaveSearchDialog } from '../folders';
import { mayWrite, useHere } from '../session';
import { ORDERS } from './orders';

/** One line between sheet and list: the count, its change, the order, what can be done. */
export function ResultBar({
  result,
  text,
  settled,
  order,
  stale,
  before,
  onOrder,
}: {
  result: Schema['SearchResult'];
  text: string;
  settled: boolean;
  order: string;
  stale: boolean;
  before?: number;
  onOrder: (order: string) => void;
}) {
  const here = useHere();
  const [saving, setSaving] = useState(false);
  const address = useLocation().pathname;
  const { count, ids } = result.answer;
  return (
    <section aria-label="Result" className="bar">
      <p role="status" className={stale ? 'text-faint' : ''}>
        <b className="font-serif text-[21px] font-semibold">{count.toLocaleString('en-GB')}</b>{' '}
        {count === 1 ? 'publication' : 'publications'}
        {stale && ' for the line before'}
      </p>
      {settled && before !== undefined && before !== count && (
        <span className="text-soft">was {before.toLocaleString('en-GB')}</span>
      )}
      {!settled && !stale && <span className="text-soft">Enter settles it</span>}
      {count > ids.length && (
        <span className="text-soft">
          the list shows the first {counted(ids.length, 'publication')}; narrow it or turn the order
        </span>
      )}
      <label className="flex items-baseline gap-1 text-soft">
        <span className="sr-only">Order</span>
        <select
          className="min-h-[24px] cursor-pointer bg-base-100"
          value={order}
          onChange={(event) => onOrder(event.target.value)}
        >
          {ORDERS.map(([name, label]) => (
            <option key={name} value={name}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <span className="flex gap-4">
        {mayWrite(here) && (
          <Act disabled={stale} onClick={() => setSaving(true)}>
            Save search
          </Act>
        )}
      </span>
      {settled && (
        <span className="text-faint max-xl:hidden">
          address: {address.replace(/^\/g\/[^/]+/, '')}
        </span>
      )}
      {saving && (
        <SaveSearchDialog
          group={here.id}
          text={text}
          count={count}
          onClose={() => setSaving(false)}
        />
      )}
    </section>
  );
}
