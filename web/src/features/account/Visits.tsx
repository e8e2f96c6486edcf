import { Act, Failed, moment } from '../../ui';
import { useEndVisit, useVisits } from './api';
import { deviceOf } from './device';

/** Where one is signed in; each visit can be ended from anywhere. */
export function Visits() {
  const visits = useVisits();
  const end = useEndVisit();
  if (visits.error) return <Failed error={visits.error} again={() => void visits.refetch()} />;
  const all = visits.data ?? [];
  return (
    <section aria-label="Where you are signed in" className="mt-5 max-w-[52rem]">
      <h2 className="small-head">Where you are signed in</h2>
      <ul>
        {all.map(({ id, agent, began, last, here }) => (
          <li
            key={id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1.5"
          >
            <span className="min-w-[12rem] flex-1" title={agent}>
              {deviceOf(agent)}
              {here && <b className="font-semibold"> (here)</b>}
            </span>
            <span className="text-[13px] text-soft">
              since {moment(began)}, last used {moment(last)}
            </span>
            <span className="w-14">
              {!here && (
                <Act
                  aria-label={`End the visit: ${deviceOf(agent)}, since ${moment(began)}`}
                  disabled={end.isPending}
                  onClick={() => end.mutate(id)}
                >
                  End it
                </Act>
              )}
            </span>
          </li>
        ))}
      </ul>
      {end.error && (
        <p role="alert" className="text-error">
          {end.error.message}
        </p>
      )}
      {all.length > 1 && (
        <Act className="mt-2" disabled={end.isPending} onClick={() => end.mutate(null)}>
          End all others
        </Act>
      )}
    </section>
  );
}
