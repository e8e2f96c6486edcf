import { Link } from 'react-router';
import { counted, Failed, listed, shortDay, useAddress } from '../../ui';
import { useHere } from '../session';
import { useBroughtBefore } from './api';
import { STATES } from './words';

/** What one brought in before, with its receipts. */
export function Before() {
  const here = useHere();
  const address = useAddress();
  const page = useBroughtBefore(here.id, address.params.get('before'));
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data || page.data.lines.length === 0) return null;
  const { lines, more } = page.data;
  const last = lines[lines.length - 1];
  return (
    <section aria-label="Brought in before" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Brought in before</h2>
      <ul>
        {lines.map(({ id, state, files, counts, folder, begun }) => (
          <li
            key={id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-2"
          >
            <Link className="min-w-0 flex-1 break-words font-medium" to={`/g/${here.id}/b/${id}`}>
              {files.length > 0 ? listed(files) : 'no file'}
            </Link>
            <span className="text-soft">
              {counted(counts.all, 'entry', 'entries')}
              {counts.undecided > 0 && `, ${counts.undecided} to decide`}
            </span>
            <span className="text-soft">
              {STATES[state]}
              {folder && ` · ${folder.name}`}
            </span>
            <span className="text-soft">{shortDay(begun)}</span>
          </li>
        ))}
      </ul>
      {more && last && (
        <Link className="act mt-2 inline-block" to={address.to('before', last.id)}>
          Earlier ones
        </Link>
      )}
    </section>
  );
}
