import { Link } from 'react-router';
import { counted } from '../../ui';
import type { Strategy } from '../strategy';
import { useForeseen, type Tells } from './api';
import { monthInWords } from './rhythm';

/** What the last twelve months would have brought, as bars with titles, and whether that is much. */
export function Foreseen({
  group,
  strategy,
  tells,
  sheet,
}: {
  group: string;
  strategy: Strategy;
  tells: Tells;
  /** Where its lines can be changed; absent where they stand behind the dialog. */
  sheet: string | undefined;
}) {
  const found = useForeseen(group, strategy, tells);
  if (found.error) {
    // Said by the act itself, which cannot be done either.
    return null;
  }
  if (!found.data) {
    return (
      <p role="status" className="mt-3 h-[18rem] text-soft">
        It is worked out what the last twelve months would have brought …
      </p>
    );
  }
  const { months, yearOnly, aWeek, verdict } = found.data;
  const most = Math.max(1, ...months.map(({ count }) => count));
  const year = months.reduce((sum, { count }) => sum + count, 0);
  const change = sheet && (
    <Link className="act" to={sheet}>
      Change it on the sheet
    </Link>
  );
  return (
    <section aria-label="What it would have brought" className="mt-3">
      <h3 className="small-head">
        The last twelve months, by when each {tells === 'changes' ? 'changed' : 'appeared'}
      </h3>
      <ol className="mt-1 text-[13px]">
        {[...months].reverse().map(({ month, count, titles }) => (
          <li
            key={month}
            className="grid grid-cols-[5.5rem_6rem_1fr] items-baseline gap-x-3 leading-[1.55]"
          >
            <span className="whitespace-nowrap">{monthInWords(month)}</span>
            <span className="flex items-center gap-2">
              <span className="h-[7px] flex-1 bg-base-300" aria-hidden="true">
                <span
                  className="block h-full bg-primary"
                  style={{ width: `${(100 * count) / most}%` }}
                />
              </span>
              <b className="w-9 text-right">{count.toLocaleString('en-GB')}</b>
            </span>
            <span className="truncate font-serif text-[13px] text-soft">
              {titles.map(({ title }) => title).join(' · ')}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-1" role="status">
        {counted(year, tells === 'changes' ? 'change' : 'publication')}
        {year > 0 && `, ${aWeek === 0 ? 'less than one' : `about ${aWeek}`} a week`}.
        {yearOnly > 0 && (
          <span className="text-soft">
            {' '}
            {yearOnly.toLocaleString('en-GB')} more of this year and the last without a month.
          </span>
        )}
      </p>
      {verdict === 'much' && (
        <p className="font-semibold text-warning">
          That is much to look at: over sixty a week, or over a twentieth of all there is. A further
          line narrows it. {change}
        </p>
      )}
      {verdict === 'little' && (
        <p className="font-semibold text-warning">
          Nothing appeared in a year: it may wait long.{' '}
          {followsOnly(strategy)
            ? 'What is kept here later is followed, too.'
            : 'Other words or a line less widen it.'}{' '}
          {change}
        </p>
      )}
    </section>
  );
}

function followsOnly(strategy: Strategy): boolean {
  return strategy.lines.every(({ kind }) => kind === 'held');
}
