import type { Schema } from '../../api';
import { Act, counted, Failed, moment, Waiting } from '../../ui';
import { useHere } from '../session';
import { useTries, useTryNow, useUpkeep } from './sourcesApi';
import { RecordsSetAside } from './RecordsSetAside';

/** What came of asking a source, try by try. */
export function SourceTries({ source }: { source: string }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const found = useTries(here.id, source);
  const first = found.data?.pages[0];
  if (found.error) return <Failed error={found.error} />;
  if (!first) return <Waiting what="its harvests" />;
  const moved = first.tries[0]?.movedTo;
  return (
    <div className="mt-2 border-l-2 border-base-300 pl-3 text-[13px]">
      <State state={first} />
      {moved && (
        <p>
          It has moved for good to <span className="break-all">{moved.replace(/\?.*/, '')}</span>{' '}
          and is followed there; its address here should be changed.
        </p>
      )}
      {steward && <TryNow source={source} state={first} />}
      <ol aria-label="Harvests, the newest first">
        {found.data?.pages.flatMap((page) =>
          page.tries.map((one) => (
            <li key={one.id}>
              {moment(one.at)}: {one.error && <span className="text-error">{one.error}</span>}
              {one.error && one.pages > 0 && ', after '}
              {(one.pages > 0 || !one.error) && <span className="text-soft">{brought(one)}</span>}
            </li>
          )),
        )}
      </ol>
      {first.tries.length === 0 && <p>No harvest is noted yet.</p>}
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          Earlier harvests
        </Act>
      )}
      {first.setAside > 0 && <RecordsSetAside source={source} count={first.setAside} />}
    </div>
  );
}

function State({ state }: { state: Schema['Tries'] }) {
  if (!state.failingSince) return null;
  const again =
    state.againInMinutes == null
      ? 'It is asked again at the next chance.'
      : `It is asked again in ${counted(state.againInMinutes, 'minute')}, then less and less often until it answers.`;
  return (
    <p>
      No harvest came through since {moment(state.failingSince)}. {again}
    </p>
  );
}

function TryNow({ source, state }: { source: string; state: Schema['Tries'] }) {
  const here = useHere();
  const attempt = useTryNow(here.id, source);
  return (
    <p role="status">
      {state.asked && 'It is tried within half a minute.'}
      {state.running && 'It is being asked.'}
      {!state.asked && !state.running && (
        <Act disabled={attempt.isPending} onClick={() => attempt.mutate()}>
          Try now
        </Act>
      )}
      {attempt.error && <Failed error={attempt.error} />}
    </p>
  );
}

function brought(one: Schema['Try']): string {
  const aside = one.setAside > 0 ? `, ${counted(one.setAside, 'record')} set aside` : '';
  return `${counted(one.taken, 'record')} on ${counted(one.pages, 'page')}, ${counted(one.changed, 'publication')} changed${aside}`;
}
