import type { Schema } from '../api';
import { useUnsent } from '../features/publication';
import { Act, counted } from '../ui';

/** Says how many marks wait because the server cannot be reached. */
export function Unsent({ here }: { here: Schema['GroupView'] }) {
  const { waiting, again } = useUnsent(here);
  return (
    <div role="status">
      {waiting > 0 && (
        <p className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 px-6 py-1">
          <span>
            <b className="font-semibold">{counted(waiting, 'mark')}</b>{' '}
            {waiting === 1 ? 'waits' : 'wait'} until the server can be reached. Go on; nothing is
            lost.
          </span>
          <Act onClick={again}>Try now</Act>
        </p>
      )}
    </div>
  );
}
