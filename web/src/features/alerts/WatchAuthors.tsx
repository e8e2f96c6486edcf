import { useState } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { WhoIsIt } from './WhoIsIt';

/** Each author of a publication, to set an alert on what they write. */
export function WatchAuthors({ publication, names }: { publication: string; names: string[] }) {
  const here = useHere();
  const [asked, setAsked] = useState<number | null>(null);
  if (names.length === 0 || !mayWrite(here)) return null;
  return (
    <details>
      <summary className="act w-fit cursor-pointer">Set an alert on an author</summary>
      <ul className="mt-1 flex flex-wrap gap-x-5">
        {names.map((name, n) => (
          <li key={`${n} ${name}`}>
            <Act onClick={() => setAsked(n)}>{name}</Act>
          </li>
        ))}
      </ul>
      {asked !== null && (
        <WhoIsIt publication={publication} n={asked} onClose={() => setAsked(null)} />
      )}
    </details>
  );
}
