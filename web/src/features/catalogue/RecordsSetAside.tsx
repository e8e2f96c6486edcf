import { Act, counted, Failed, shortDay } from '../../ui';
import { useHere } from '../session';
import { useRecordsSetAside } from './sourcesApi';

/** Records of a source that could not be taken, why, and what came. */
export function RecordsSetAside({ source, count }: { source: string; count: number }) {
  const here = useHere();
  const found = useRecordsSetAside(here.id, source);
  if (found.error) return <Failed error={found.error} />;
  const shown = found.data?.pages.flatMap((page) => page.records) ?? [];
  return (
    <section aria-label="Records that could not be taken" className="mt-2">
      <p>
        {counted(count, 'record')} could not be taken. Everything else went on; each is taken as
        soon as the source supplies it anew as it should be.
      </p>
      <ul>
        {shown.map((record) => (
          <li key={record.identifier} className="py-1">
            <p className="break-all">
              {record.identifier}, since {shortDay(record.at)}: {record.why}
            </p>
            {record.raw && (
              <details>
                <summary className="act">What came</summary>
                <pre
                  tabIndex={0}
                  aria-label={`What came as ${record.identifier}`}
                  className="max-h-40 overflow-auto whitespace-pre-wrap break-all bg-base-200 p-2 text-[12px]"
                >
                  {record.raw}
                </pre>
              </details>
            )}
          </li>
        ))}
      </ul>
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          {counted(count - shown.length, 'record')} more
        </Act>
      )}
    </section>
  );
}
