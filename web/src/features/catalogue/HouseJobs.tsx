import type { Schema } from '../../api';
import { Act, counted, moment } from '../../ui';
import { useHere } from '../session';
import { useJobAgain } from './houseApi';

/** Work that falls due by itself: when it ran, when it runs next, and whether it comes through. */
export function HouseJobs({ jobs }: { jobs: Schema['JobShown'][] }) {
  const here = useHere();
  const again = useJobAgain(here.id);
  if (jobs.length === 0) return null;
  return (
    <section aria-label="Jobs" className="mt-6">
      <h2 className="small-head">Jobs</h2>
      <ul>
        {jobs.map((job) => (
          <li key={job.name} className={job.failures > 0 ? 'text-error' : ''}>
            {job.name.replaceAll('-', ' ')}:{' '}
            <span className={job.failures > 0 ? '' : 'text-soft'}>{said(job)}</span>{' '}
            {!job.running && (
              <Act
                aria-label={`Run ${job.name.replaceAll('-', ' ')} now`}
                disabled={again.isPending}
                onClick={() => again.mutate(job.name)}
              >
                now
              </Act>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function said(job: Schema['JobShown']): string {
  const last = job.lastSuccess ? `done on ${moment(job.lastSuccess)}` : 'not done yet';
  const failed = job.failures > 0 ? `, failed ${counted(job.failures, 'time')} since` : '';
  return `${last}${failed}; ${job.running ? 'runs now' : `again on ${moment(job.next)}`}`;
}
