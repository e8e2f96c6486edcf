import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, body, keys, type Schema } from '../../api';
import { counted, listed } from '../../ui';
import { useHere } from '../session';

function useTies(group: string, publication: string) {
  return useQuery({
    queryKey: keys.ties(group, publication),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/ties', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** How a publication relates to what the group has: by folder, and by who wrote it. */
export function Ties({ publication }: { publication: string }) {
  const here = useHere();
  const ties = useTies(here.id, publication).data;
  if (!ties || ties.kept === 0) return null;
  const { folders, more, authors } = ties;
  return (
    <section aria-label="How it relates to what you have">
      <h3 className="small-head mt-3">How it relates to what you have</h3>
      {folders.length + authors.length === 0 && (
        <p className="text-soft">Nothing ties it to what is in your folders.</p>
      )}
      <ul>
        {folders.map((one) => (
          <li key={one.folder.id}>
            <Link className="act" to={`/g/${here.id}/f/${one.folder.id}`}>
              {one.folder.name}
            </Link>
            : {inWords(one)}
          </li>
        ))}
      </ul>
      {more > 0 && <p className="text-soft">and {counted(more, 'folder')} more</p>}
      {authors.length > 0 && (
        <p>
          By{' '}
          {listed(
            authors.map(({ name, works }) => `${name}, of whom you keep ${counted(works, 'work')}`),
          )}
        </p>
      )}
    </section>
  );
}

function inWords({ headings, references, cites, citedBy }: Schema['FolderTie']): string {
  return [
    cites > 0 && `cites ${counted(cites, 'work')} there`,
    citedBy > 0 && `cited by ${counted(citedBy, 'work')} there`,
    references > 0 && `shares ${counted(references, 'reference')}`,
    headings.length > 0 && `headings: ${headings.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ');
}
