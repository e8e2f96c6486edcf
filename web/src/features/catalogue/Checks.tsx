import type { Schema } from '../../api';
import { Act, counted, moment } from '../../ui';
import { useHere } from '../session';
import { useCheck } from './houseApi';

/** What is derived, held against what it is derived from, when a steward asks. */
export function Checks({ check }: { check: Schema['HouseCheck'] | undefined }) {
  const here = useHere();
  const ask = useCheck(here.id);
  const goesOn = ask.isPending || (check != null && !check.ended);
  const found = check?.found ?? [];
  const wrong = found.some((one) => one.differences > 0 && !one.mended);
  return (
    <section aria-label="Checks" className="mt-6">
      <h2 className="small-head">Checks</h2>
      <p role="status">
        {goesOn
          ? 'Everything is being checked …'
          : check?.ended
            ? `Checked on ${moment(check.ended)}.`
            : 'Everything is checked every night.'}
      </p>
      {!goesOn && (
        <ul>
          {found.map((one) => (
            <li key={one.what} className={one.differences > 0 && !one.mended ? 'text-error' : ''}>
              {one.what}: {said(one)}
            </li>
          ))}
        </ul>
      )}
      <p className="flex flex-wrap gap-x-4">
        <Act disabled={goesOn} onClick={() => ask.mutate(false)}>
          Check everything now
        </Act>
        {wrong && (
          <Act disabled={goesOn} onClick={() => ask.mutate(true)}>
            Check, and put right what can be
          </Act>
        )}
      </p>
      {ask.error && (
        <p role="alert" className="text-error">
          {ask.error.message}
        </p>
      )}
    </section>
  );
}

function said({ differences, mended }: Schema['Outcome']): string {
  if (differences === 0) return 'as it should be';
  return mended
    ? `${counted(differences, 'difference')}, put right`
    : `${differences.toLocaleString('en-GB')} not as they should be`;
}
