import { useState } from 'react';
import { Act } from '../../ui';

/** So many lines are shown until somebody wants all of them. */
const FIRST = 100;

/** What a file says or changes, a line each; nothing where there is none. */
export function FileLines({ title, lines }: { title: string; lines: readonly string[] }) {
  const [all, setAll] = useState(false);
  if (lines.length === 0) return null;
  return (
    <>
      <h3 className="small-head mt-2">
        {title} · {lines.length.toLocaleString('en-GB')}
      </h3>
      <ul>
        {(all ? lines : lines.slice(0, FIRST)).map((line, n) => (
          <li key={`${n} ${line}`}>{line}</li>
        ))}
      </ul>
      {!all && lines.length > FIRST && (
        <p>
          <Act onClick={() => setAll(true)}>
            {(lines.length - FIRST).toLocaleString('en-GB')} more
          </Act>
        </p>
      )}
    </>
  );
}
