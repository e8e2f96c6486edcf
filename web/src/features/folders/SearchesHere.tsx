import { useHere } from '../session';
import { useFoundNow, useSearches } from './api';
import { SearchLine } from './SearchLine';

/** The saved searches of a folder; nothing where there are none. */
export function SearchesHere({ folder }: { folder: string }) {
  const here = useHere();
  const searches = useSearches(here.id, folder).data ?? [];
  const now = useFoundNow(here.id, folder).data;
  if (searches.length === 0) return null;
  return (
    <section
      aria-label="Saved searches"
      className="border-b border-base-300 bg-base-200 px-4 py-2 lg:px-6"
    >
      <h2 className="small-head">Saved searches</h2>
      <ul>
        {searches.map((search) => (
          <SearchLine key={search.id} search={search} now={now?.get(search.id) ?? null} />
        ))}
      </ul>
    </section>
  );
}
