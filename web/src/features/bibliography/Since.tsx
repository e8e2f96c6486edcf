import { useState } from 'react';
import { Link } from 'react-router';
import { Act, Failed, listed, moment, Waiting } from '../../ui';
import { useHere } from '../session';
import { useSince } from './chaptersApi';

const WORDS: Record<string, string> = {
  came: 'came in',
  mended: 'mended',
  annotated: 'annotated',
  changed: 'changed by its source',
  gone: 'taken out',
};

/** So many are drawn until more are asked for. */
const DRAWN = 200;

/** What became of the bibliography since a day, the last first. */
export function Since({
  folder,
  day,
  onDay,
}: {
  folder: string;
  day: string;
  onDay: (day: string) => void;
}) {
  const here = useHere();
  const found = useSince(here.id, folder, day);
  const [drawn, setDrawn] = useState(DRAWN);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  const data = found.data;
  const more = (data?.entries.length ?? 0) - drawn;
  return (
    <section aria-label="What changed" className="h-full overflow-y-auto px-4 py-3 lg:px-6">
      <label className="flex flex-wrap items-baseline gap-x-3">
        <span className="small-head">What changed since</span>
        <input
          type="date"
          className="field"
          value={day || data?.since || ''}
          onChange={(event) => event.target.value && onDay(event.target.value)}
        />
      </label>
      {!data ? (
        <Waiting what="what changed" />
      ) : data.entries.length === 0 ? (
        <p className="mt-3 text-soft">Nothing changed since then.</p>
      ) : (
        <ul className="mt-2">
          {data.entries.slice(0, drawn).map((one) => (
            <li key={one.publication.id} className="border-b border-rule-strong py-2 last:border-0">
              <Link className="font-serif" to={`/g/${here.id}/p/${one.publication.id}`}>
                {one.publication.title}
              </Link>
              <p className="text-[13px]">
                <b className="font-semibold">
                  {listed(one.what.map((what) => WORDS[what] ?? what))}
                </b>{' '}
                <span className="text-soft">{moment(one.at)}</span>
              </p>
            </li>
          ))}
        </ul>
      )}
      {more > 0 && (
        <Act onClick={() => setDrawn((now) => now + DRAWN)}>Show more of the other {more}</Act>
      )}
    </section>
  );
}
