import { Act, counted, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useBin } from './api';
import { useBringBack } from './changes';

/** Folders and saved searches that ended; each comes back whole. */
export function Bin() {
  const here = useHere();
  const ended = useBin(here.id).data ?? [];
  const back = useBringBack(here.id);
  if (ended.length === 0) return null;
  return (
    <details className="mt-6 max-w-[46rem]">
      <summary className="min-h-[24px] cursor-pointer text-soft">
        {counted(ended.length, 'ended folder or search', 'ended folders and searches')}
      </summary>
      <ul>
        {ended.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-4 py-1">
            <span className="font-serif text-[15px]">{one.name}</span>
            <span className="text-soft">
              {one.kind === 'folder' ? 'folder' : 'saved search'}, ended on {shortDay(one.at)}
            </span>
            {mayWrite(here) && (
              <Act disabled={back.isPending} onClick={() => back.mutate(one.id)}>
                Bring it back
              </Act>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
