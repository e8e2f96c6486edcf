import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import type { Taking } from './useTaking';

/** What becomes of a file: how far it is, how many are in it, and what is not. */
export function Outcome({
  taking,
  works,
  left,
  onCancel,
}: {
  taking: Taking;
  /** How many there should be. */
  works: number;
  /** What is known beforehand not to be in it. */
  left: readonly Schema['LeftOut'][];
  onCancel: () => void;
}) {
  const { done, taken, failed } = taking;
  const without = taken?.left ?? left;
  return (
    <>
      <div role="status" className="mt-2">
        {done !== null && (
          <p className="flex flex-wrap items-center gap-x-3">
            <progress
              className="progress w-40"
              aria-label="How far it is"
              value={done}
              max={Math.max(1, works)}
            />
            {done.toLocaleString('en-GB')} of {works.toLocaleString('en-GB')}
            <Act onClick={onCancel}>Cancel</Act>
          </p>
        )}
        {taken && <p>{counted(taken.works, 'publication')} are in the file.</p>}
      </div>
      {failed && (
        <p role="alert" className="mt-2 text-error">
          {failed}
        </p>
      )}
      {without.length > 0 && (
        <details className="mt-2">
          <summary>{counted(without.length, 'publication')} left out</summary>
          <ul className="max-h-[8rem] overflow-y-auto">
            {without.map((one) => (
              <li key={one.what}>
                {one.what}: {one.why}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
