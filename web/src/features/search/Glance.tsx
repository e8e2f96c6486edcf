import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, people, Waiting } from '../../ui';
import { KeepNoteDialog } from '../report';
import { mayWrite, useHere } from '../session';
import { headingText, type Strategy } from '../strategy';
import { useGlance } from './api';

/** The field at a glance: what the present result looks like from afar. Each line leads on. */
export function Glance({ strategy, q }: { strategy: Strategy; q: string | undefined }) {
  const here = useHere();
  const [keeping, setKeeping] = useState(false);
  const glance = useGlance(here.id, strategy);
  if (glance.error) return <Failed error={glance.error} />;
  if (!glance.data) return <Waiting what="the field" />;
  const { heading, years, cited, reviews, reviewCount, journals, headings, count } = glance.data;
  /** The present search with one more limit or line; none before it is settled. */
  const to = (more: Record<string, string>) =>
    q && `/g/${here.id}/search?${new URLSearchParams({ with: q, ...more })}`;
  return (
    <section aria-label="The field at a glance" className="mb-4 border-b border-base-300 pb-4">
      {heading && (
        <p className="max-w-[75ch]">
          <Link
            className="font-serif text-[16px] font-semibold hover:underline"
            to={`/g/${here.id}/catalogue/headings?h=${encodeURIComponent(heading.label)}`}
          >
            {heading.label}
          </Link>{' '}
          <span className="text-soft">
            carried by {heading.count.toLocaleString('en-GB')} of {count.toLocaleString('en-GB')}.
          </span>{' '}
          {heading.note && <span className="font-serif text-[15px]">{heading.note}</span>}
        </p>
      )}
      <Part name="Publications per year">
        <Years years={years} to={(year) => to({ limit: 'date', from: year, to: year })} />
      </Part>
      <Part name="Most cited">
        <Publications all={cited} />
      </Part>
      <Part name="Recent reviews">
        <Publications all={reviews} />
        {reviewCount > reviews.length && (
          <Onward to={to({ add: 'kind: review' })}>all {counted(reviewCount, 'review')}</Onward>
        )}
      </Part>
      <Part name="Main journals">
        <Bars bars={journals} to={(value) => to({ limit: 'journal', only: value })} />
      </Part>
      <Part name="Main headings">
        <Bars bars={headings} to={(value) => to({ add: headingText(value) })} />
      </Part>
      {mayWrite(here) && (
        <p className="mt-3">
          <Act
            disabled={!q}
            title={q ? undefined : 'It can be kept once the search is settled: press Enter.'}
            onClick={() => setKeeping(true)}
          >
            Keep as a note of today
          </Act>
        </p>
      )}
      {keeping && q && (
        <KeepNoteDialog group={here.id} of={`glance:q:${q}`} onClose={() => setKeeping(false)} />
      )}
    </section>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mt-2">
      <h3 className="small-head">{name}</h3>
      {children}
    </section>
  );
}

function Onward({ to, children }: { to: string | undefined; children: ReactNode }) {
  return to ? (
    <Link className="act" to={to}>
      {children}
    </Link>
  ) : (
    <span className="text-soft">{children}</span>
  );
}

const YEARS = 12;

function Years({
  years,
  to,
}: {
  years: Schema['Bar'][];
  to: (year: string) => string | undefined;
}) {
  const shown = years.slice(0, YEARS).reverse();
  const earlier = years.slice(YEARS).reduce((sum, year) => sum + year.count, 0);
  const most = Math.max(1, ...shown.map((year) => year.count));
  if (years.length === 0) return <p className="text-soft">No year is known.</p>;
  return (
    <ul className="flex items-end gap-x-2">
      {shown.map((year) => (
        <li key={year.value} className="flex w-9 flex-col items-center text-[12px]">
          <span>{year.count.toLocaleString('en-GB')}</span>
          <svg aria-hidden="true" width="24" height="32">
            <rect
              y={32 - Math.max(1, Math.round((32 * year.count) / most))}
              width="24"
              height="32"
              className="fill-primary opacity-40"
            />
          </svg>
          <Onward to={to(year.value)}>{year.value}</Onward>
        </li>
      ))}
      {earlier > 0 && (
        <li className="ml-2 text-[12px] text-soft">{earlier.toLocaleString('en-GB')} earlier</li>
      )}
    </ul>
  );
}

function Publications({ all }: { all: Schema['Summary'][] }) {
  const here = useHere();
  if (all.length === 0) return <p className="text-soft">None in this result.</p>;
  return (
    <ul>
      {all.map((each) => (
        <li key={each.id} className="py-0.5 leading-tight">
          <Link className="font-serif hover:underline" to={`/g/${here.id}/p/${each.id}`}>
            {each.title}
          </Link>{' '}
          <span className="text-[13px] text-soft">
            {people(each.authors)} {each.year}
            {each.citedBy > 0 && `, cited by ${each.citedBy}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Bars({ bars, to }: { bars: Schema['Bar'][]; to: (value: string) => string | undefined }) {
  if (bars.length === 0) return <p className="text-soft">None is known.</p>;
  return (
    <ul className="flex flex-wrap gap-x-5">
      {bars.map((bar) => (
        <li key={bar.value}>
          <Onward to={to(bar.value)}>{bar.value}</Onward>{' '}
          <span className="text-soft">{bar.count.toLocaleString('en-GB')}</span>
        </li>
      ))}
    </ul>
  );
}
