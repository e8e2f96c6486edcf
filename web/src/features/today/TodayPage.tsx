import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, day, dayOf, Failed, Waiting } from '../../ui';
import { Deed } from '../activity';
import { Title } from '../help';
import { useToCheck } from '../saved';
import { useQuestions } from '../questions';
import { useHere } from '../session';
import { useTasks } from '../tasks';
import { useDone, useMonth, useWaiting } from './api';
import { Month } from './Month';
import { WaitsForYou } from './WaitsForYou';

/** What came, what waits for the reader, and what the others did since their last visit. */
export function TodayPage() {
  const here = useHere();
  const month = useMonth(here.id);
  const waits = useWaiting(here.id);
  const done = useDone(here.id, here.today);
  const toCheck = useToCheck(here.id);
  const tasks = useTasks(here.id, 'mine', 0);
  const asked = useQuestions(here.id, 'waiting', 0);
  const failed = [month, waits, done, toCheck, tasks, asked].find((one) => one.error);
  if (failed?.error) return <Failed error={failed.error} again={() => void failed.refetch()} />;
  if (!month.data || !waits.data || !done.data || !toCheck.data || !tasks.data || !asked.data)
    return <Waiting what="today" />;
  return (
    // Below its last line is room for what the foot of the page tells.
    <div className="h-full overflow-y-auto pb-16">
      <title>Today · Quiet Lantern</title>
      <section
        aria-label="This month"
        className="border-b border-base-300 bg-base-200 px-4 py-3 lg:px-6"
      >
        <Title help="today">{came(month.data, done.data.since)}</Title>
        <p className="text-soft">
          Each mark is an arrival<span className="sm:hidden"> of the last two weeks</span>, on the
          day it came; lit where you have looked.
        </p>
        <Month days={month.data} />
      </section>
      <div className="grid lg:grid-cols-[minmax(0,660px)_minmax(0,1fr)]">
        <section aria-label="Waits for you" className="px-4 py-4 lg:px-6">
          <h2 className="small-head">Waits for you</h2>
          <WaitsForYou
            waits={waits.data}
            questions={asked.data}
            tasks={tasks.data}
            toCheck={toCheck.data}
          />
          <p className="mt-2 flex flex-wrap gap-x-4">
            <Link className="act" to={`/g/${here.id}/questions?of=open`}>
              Questions
            </Link>
            <Link className="act" to={`/g/${here.id}/tasks`}>
              All that is to be looked up
            </Link>
          </p>
        </section>
        <section
          aria-label="Done by the others"
          className="border-base-300 px-4 py-4 max-lg:border-t lg:border-l lg:px-6"
        >
          <h2 className="small-head">Since your visit on {day(done.data.since)}</h2>
          {done.data.lines.length === 0 && (
            <p className="mt-2 text-soft">Nobody did anything here.</p>
          )}
          <ul>
            {done.data.lines.map((deed, at) => (
              <li key={at} className="border-b border-base-300 py-1.5">
                <Deed deed={deed} group={here.id} />
              </li>
            ))}
          </ul>
          <p className="mt-2">
            <Link className="act" to={`/g/${here.id}/activity`}>
              {done.data.more ? 'There is more: all that was done' : 'All that was done'}
            </Link>
          </p>
        </section>
      </div>
    </div>
  );
}

/** How much came since a moment, as far as the month goes back. */
function came(days: readonly Schema['DayCame'][], since: string): string {
  const from = dayOf(since);
  const isWithin = days.some((one) => one.day === from);
  const n = days
    .filter((one) => !isWithin || one.day >= from)
    .reduce((sum, one) => sum + one.came, 0);
  const what = n === 0 ? 'Nothing has come' : `${counted(n, 'arrival')}`;
  return isWithin ? `${what} since ${day(since)}` : `${what} in the last month`;
}
