import { useState } from 'react';
import { Link } from 'react-router';
import { Act, Choice, Failed, PageLinks, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useTasks, type Which } from './api';
import { NewTaskDialog } from './TaskDialog';
import { TaskLine } from './TaskLine';

const NONE: Record<Which, string> = {
  open: 'Nothing is to be looked up. A task is noted here, from a remark, or from a work that a publication cites and that is not here.',
  mine: 'You have nothing to look up.',
  nobody: 'Whatever is to be looked up has somebody who does it.',
  ended: 'Nothing was looked up yet.',
};

/** What the group has to look up, and what it has looked up. */
export function TasksPage() {
  const here = useHere();
  const address = useAddress();
  const asked = address.params.get('of');
  const of: Which = asked === 'mine' || asked === 'nobody' || asked === 'ended' ? asked : 'open';
  const from = Number(address.params.get('from')) || 0;
  const page = useTasks(here.id, of, from);
  const [isNew, setNew] = useState(false);
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="what is to be looked up" />;
  const { tasks, open, mine, nobodys, ended, next } = page.data;
  const choices: [Which, string, number][] = [
    ['open', 'open', open],
    ['mine', 'mine', mine],
    ['nobody', 'nobody has', nobodys],
    ['ended', 'ended', ended],
  ];
  return (
    <div className="page">
      <title>To be looked up · Quiet Lantern</title>
      <Title help="tasks" className="mb-2">
        To be looked up
      </Title>
      <nav aria-label="Which tasks" className="flex flex-wrap gap-x-4">
        {choices.map(([which, name, n]) => (
          <Choice key={which} on={of === which} to={address.to('of', which, 'from')}>
            {name} {n.toLocaleString('en-GB')}
          </Choice>
        ))}
        {mayWrite(here) && <Act onClick={() => setNew(true)}>Note something…</Act>}
        <Link className="act" to={`/g/${here.id}/notes?kind=task&open=yes`}>
          Tasks in margins
        </Link>
      </nav>
      {tasks.length === 0 && <p className="mt-4 max-w-[65ch] text-soft">{NONE[of]}</p>}
      <ul className="mt-3 max-w-[52rem]">
        {tasks.map((task) => (
          <li key={task.id} className="border-b border-base-300 py-2">
            <TaskLine task={task} />
          </li>
        ))}
      </ul>
      <PageLinks from={from} next={next} to={(page) => address.to('from', page)} />
      {isNew && <NewTaskDialog begun={{ text: '' }} onClose={() => setNew(false)} />}
    </div>
  );
}
