import type { Schema } from '../../api';
import { counted, listed, timeOfDay } from '../../ui';
import { useHere } from '../session';

/** When the alert looked, over which sources, and what it found. */
export function LastRuns({ view }: { view: Schema['AlertView'] }) {
  const { today } = useHere();
  const { alert, runs, setAside } = view;
  return (
    <section aria-label="Runs" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">Runs</h2>
      {alert.failed && (
        <p role="alert" className="text-error">
          Its last run failed and is tried again over the same changes: {alert.failed}
        </p>
      )}
      {setAside.length > 0 && (
        <div role="alert">
          <p>
            {counted(setAside.length, 'record')} could not be dealt with. The rest went on;{' '}
            {setAside.length === 1 ? 'it is' : 'they are'} tried again when the record changes.
          </p>
          <ul>
            {setAside.map((record) => (
              <li key={record.id} className="text-[13px] text-soft">
                {record.title || record.id}: {record.why}
              </li>
            ))}
          </ul>
        </div>
      )}
      {runs.length === 0 && <p className="text-soft">It has not looked yet.</p>}
      <ol>
        {runs.map((run) => (
          <li key={run.at} className="grid grid-cols-[9rem_9rem_1fr] gap-3 py-0.5 text-[13px]">
            <span>{timeOfDay(run.at, today)}</span>
            <span className={run.found > 0 ? '' : 'text-soft'}>
              {run.error ? 'failed' : run.found > 0 ? `found ${run.found}` : 'checked, nothing'}
            </span>
            <span className="text-soft">
              {run.error ||
                [
                  run.sources.length > 0 && `after ${listed(run.sources)}`,
                  run.millis > 0 && `in ${Math.max(0.1, run.millis / 1000).toFixed(1)} s`,
                ]
                  .filter(Boolean)
                  .join(', ')}
            </span>
          </li>
        ))}
      </ol>
      {runs.length >= SHOWN && <p className="text-[13px] text-soft">The last {SHOWN} runs.</p>}
    </section>
  );
}

const SHOWN = 20;
