import type { Schema } from '../../api';
import { Act, Failed, PageLinks, useAddress, Waiting } from '../../ui';
import { useHere } from '../session';
import { useBringing, useEntries } from './api';
import { Entry } from './Entry';

/** So many stand on a page. */
const PAGE = 50;

/** Entries, page by page, and what can be decided of all that are shown alike. */
export function Entries({ brought, of }: { brought: Schema['BroughtShown']; of: string }) {
  const here = useHere();
  const address = useAddress();
  const from = Number(address.params.get('from')) || 0;
  const { id, state, reading, counts } = brought;
  const moving = state === 'taking' || state === 'returning';
  const going = reading || moving;
  const page = useEntries(here.id, id, of, from, `${state} ${counts.all} ${counts.ready}`);
  const { decide, giveOneBack } = useBringing(here.id, id);
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="entries" />;
  const { entries, more } = page.data;
  const all = (decision: 'same' | 'another' | 'out' | null, words: string) => (
    <Act disabled={decide.isPending} onClick={() => decide.mutate({ of, decision })}>
      {words}
    </Act>
  );
  return (
    <section aria-label="Entries" className="mt-3 max-w-[60rem]">
      {of === 'doubtful' && counts.undecided > 1 && !going && (
        <p className="flex flex-wrap gap-x-4">
          {all('same', 'All are what is here')}
          {all('another', 'All are other works')}
          {all('out', 'Leave all out')}
        </p>
      )}
      {of === 'here' && counts.ready > 0 && !going && (
        <p className="flex flex-wrap gap-x-4">
          {all('out', 'Leave all of these out')}
          {all(null, 'Take all of these in')}
        </p>
      )}
      {entries.length === 0 && <p className="py-3 text-soft">None.</p>}
      <ol>
        {entries.map((entry) => (
          <li key={entry.n} className="border-b border-base-300 py-2.5">
            <Entry
              entry={entry}
              deciding={decide.isPending || giveOneBack.isPending}
              onDecide={moving ? undefined : (wanted) => decide.mutate(wanted)}
              onBack={going ? undefined : () => giveOneBack.mutate(entry.n)}
            />
          </li>
        ))}
      </ol>
      <PageLinks
        from={from}
        next={more ? from + PAGE : null}
        to={(next) => address.to('from', next)}
      />
    </section>
  );
}
