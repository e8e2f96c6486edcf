import { useState } from 'react';
import { Act, counted } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useTasksOf } from './api';
import { NewTaskDialog } from './TaskDialog';
import { TaskLine } from './TaskLine';

/** What is to be looked up about a publication; what was, on demand. */
export function TasksOf({ publication }: { publication: string }) {
  const here = useHere();
  const tasks = useTasksOf(here.id, publication).data ?? [];
  const [isNew, setNew] = useState(false);
  const open = tasks.filter((task) => task.state === 'open');
  const ended = tasks.filter((task) => task.state !== 'open');
  if (tasks.length === 0 && !mayWrite(here)) return null;
  return (
    <section aria-label="To be looked up" className="mt-3">
      <h3 className="small-head">To be looked up</h3>
      <ul>
        {open.map((task) => (
          <li key={task.id} className="mb-2">
            <TaskLine task={task} about={false} />
          </li>
        ))}
      </ul>
      {ended.length > 0 && (
        <details>
          <summary className="act w-fit cursor-pointer">
            {counted(ended.length, 'task')} ended
          </summary>
          <ul>
            {ended.map((task) => (
              <li key={task.id} className="mb-2">
                <TaskLine task={task} about={false} />
              </li>
            ))}
          </ul>
        </details>
      )}
      {mayWrite(here) && <Act onClick={() => setNew(true)}>Note something…</Act>}
      {isNew && <NewTaskDialog begun={{ text: '', publication }} onClose={() => setNew(false)} />}
    </section>
  );
}
