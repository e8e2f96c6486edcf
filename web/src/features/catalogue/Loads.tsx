import { useEffect, useRef } from 'react';
import { useRefresh, type Schema } from '../../api';
import { Act, counted, moment } from '../../ui';
import { useHere } from '../session';
import { useLoads, useStopLoad } from './loadsApi';
import { useUpkeep } from './sourcesApi';

/** Files that were brought in, and how far they are. */
export function Loads() {
  const here = useHere();
  const found = useLoads(here.id);
  const loads = found.data?.pages.flatMap((page) => page.loads) ?? [];
  const refresh = useRefresh(here.id);
  const over = found.data ? loads.filter((load) => load.ended).length : undefined;
  const before = useRef(over);
  // What was just loaded is counted with its source.
  useEffect(() => {
    if (before.current !== undefined && before.current !== over) refresh();
    before.current = over;
  }, [over, refresh]);
  if (loads.length === 0) return null;
  return (
    <section aria-label="Files loaded" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Files loaded</h2>
      <ul>
        {loads.map((load) => (
          <Load key={load.id} load={load} />
        ))}
      </ul>
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          Earlier files
        </Act>
      )}
    </section>
  );
}

function Load({ load }: { load: Schema['LoadShown'] }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const stop = useStopLoad(here.id);
  const open = load.state === 'waiting' || load.state === 'running';
  return (
    <li className="border-b border-base-300 py-2">
      <p>
        <span className="break-all font-serif">{load.name}</span>
        <span className="text-soft">
          {' '}
          into {load.sourceName}, {moment(load.asked)}
        </span>
      </p>
      <p
        className={`text-[13px] ${load.state === 'broken' ? 'text-error' : 'text-soft'}`}
        role={open ? 'status' : undefined}
      >
        {said(load)}{' '}
        {open && steward && (
          <Act
            aria-label={`Stop loading ${load.name}`}
            disabled={stop.isPending}
            onClick={() => stop.mutate(load.id)}
          >
            Stop
          </Act>
        )}
      </p>
      {stop.error && (
        <p role="alert" className="text-[13px] text-error">
          {stop.error.message}
        </p>
      )}
    </li>
  );
}

function said(load: Schema['LoadShown']): string {
  const records = counted(load.records, 'record');
  const brought = `${records}, ${counted(load.changed, 'publication')} changed${
    load.setAside > 0 ? `, ${counted(load.setAside, 'record')} set aside` : ''
  }`;
  switch (load.state) {
    case 'waiting':
      return 'Waits for its turn.';
    case 'running':
      return `${records} read, ${Math.floor((100 * load.readBytes) / Math.max(1, load.bytes))} % of the file.`;
    case 'broken':
      return `Broke off after ${brought}: ${load.error ?? ''}`;
    case 'stopped':
      return `Stopped after ${brought}.`;
    default:
      return `${brought}.`;
  }
}
