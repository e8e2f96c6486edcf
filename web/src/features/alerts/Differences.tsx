import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day, listed } from '../../ui';
import { useHere } from '../session';
import { useDifferences } from './api';

/** What causes are called in a sentence. */
const CAUSES: Record<string, string> = {
  headings: 'headings',
  holdings: 'what the group may read',
  journals: 'what is known of journals',
  calendar: 'the calendar',
  citations: 'what another work cites',
  texts: 'texts',
  folders: 'what is kept in a folder',
};

export function causesInWords(causes: readonly string[]): string {
  return listed(causes.map((cause) => CAUSES[cause] ?? cause));
}

/** What the search found and the alert did not remember, though no record had changed. */
export function Differences({ alert }: { alert: string }) {
  const here = useHere();
  const [pages, setPages] = useState<number[]>([]);
  const found = useDifferences(here.id, alert, pages.at(-1) ?? null).data;
  const all = found?.differences ?? [];
  const last = all.at(-1);
  if (all.length === 0 && pages.length === 0) return null;
  return (
    <section aria-label="Found besides" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">Found besides, held against all that its search finds</h2>
      <ul>
        {all.map((one) => (
          <li key={one.id} className="py-0.5">
            <details>
              <summary className="cursor-pointer">
                {day(one.at)}:{' '}
                {one.missed ? (
                  <b className="font-semibold text-error">
                    {counted(one.count, 'publication')} missed, and announced now
                  </b>
                ) : (
                  <>
                    {counted(one.count, 'publication')} more by {causesInWords(one.causes)}
                  </>
                )}
              </summary>
              <p className="text-[13px] text-soft">
                It remembered {one.remembered.toLocaleString('en-GB')}, its search found{' '}
                {one.found.toLocaleString('en-GB')}.
              </p>
              <Titles of={one.first} count={one.count} />
            </details>
          </li>
        ))}
      </ul>
      <p className="flex gap-x-4">
        {found?.more && last && (
          <Act onClick={() => setPages((now) => [...now, last.id])}>Earlier ones</Act>
        )}
        {pages.length > 0 && (
          <Act onClick={() => setPages((now) => now.slice(0, -1))}>Later ones</Act>
        )}
      </p>
    </section>
  );
}

/** Titles, and how many are left out. */
export function Titles({ of, count }: { of: Schema['WorkTitled'][]; count: number }) {
  const here = useHere();
  return (
    <ul className="font-serif">
      {of.map((work) => (
        <li key={work.id}>
          <Link className="hover:underline" to={`/g/${here.id}/p/${work.id}`}>
            {work.title}
          </Link>
        </li>
      ))}
      {count > of.length && <li className="text-soft">and {count - of.length} more</li>}
    </ul>
  );
}
