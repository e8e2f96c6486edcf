import { useState } from 'react';
import { Link } from 'react-router';
import { Act, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { Tried } from './RecordsTried';
import { useSourceRecords } from './sourcesApi';

/** What a source has supplied, record by record, and how each is read. */
export function SourceRecords({ source }: { source: string }) {
  const here = useHere();
  const [part, setPart] = useState('');
  const [odd, setOdd] = useState(false);
  const found = useSourceRecords(here.id, source, { part: part.trim(), odd });
  const records = found.data?.pages.flatMap((page) => page.records) ?? [];
  return (
    <div className="mt-2 border-l-2 border-base-300 pl-3">
      <p className="flex flex-wrap items-center gap-x-4 gap-y-3">
        <label>
          <span className="sr-only">Part of a record’s name</span>
          <input
            className="field w-64 max-w-full"
            placeholder="part of a record’s name"
            value={part}
            onChange={(event) => setPart(event.target.value)}
          />
        </label>
        <label className="flex min-h-6 items-center gap-2">
          <input
            type="checkbox"
            className="size-4"
            checked={odd}
            onChange={(event) => setOdd(event.target.checked)}
          />
          only with problems
        </label>
      </p>
      {found.error && <Failed error={found.error} />}
      {!found.data && !found.error && <Waiting what="its records" />}
      <ul aria-label="Records">
        {records.map((record) => (
          <Tried key={record.id} record={record.read}>
            {record.deleted && <span className="text-error">taken back </span>}
            {record.publication && (
              <Link className="act" to={`/g/${here.id}/p/${record.publication}`}>
                what it stands under
              </Link>
            )}
          </Tried>
        ))}
      </ul>
      {found.data && records.length === 0 && <p className="text-soft">There are none.</p>}
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          More records
        </Act>
      )}
    </div>
  );
}
