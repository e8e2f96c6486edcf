import { useState } from 'react';
import { Act, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useUnread } from './api';

/** So many stand on a page. */
const PAGE = 50;

/** What could not be read, with file and line. */
export function Unread({ brought }: { brought: string }) {
  const here = useHere();
  const [from, setFrom] = useState(0);
  const page = useUnread(here.id, brought, from);
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="what could not be read" />;
  return (
    <>
      <ol className="mt-1 text-[13px]" aria-label="What could not be read">
        {page.data.problems.map(({ file, line, sentence }, at) => (
          <li key={from + at} className="border-b border-base-300 py-1">
            <span className="text-soft">
              {file}
              {line > 0 && `, line ${line}`}:
            </span>{' '}
            {sentence}
          </li>
        ))}
      </ol>
      <p className="mt-1 flex gap-x-4">
        {from > 0 && <Act onClick={() => setFrom(from - PAGE)}>Those before</Act>}
        {page.data.more && <Act onClick={() => setFrom(from + PAGE)}>The rest</Act>}
      </p>
    </>
  );
}
