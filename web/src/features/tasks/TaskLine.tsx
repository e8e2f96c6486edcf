import { useState } from 'react';
import { Link } from 'react-router';
import { Act, day, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useTaskActs, type Task } from './api';
import { ChangeTaskDialog, EndTaskDialog, GiveTaskDialog } from './TaskDialog';

type Asked = 'done' | 'given up' | 'change' | 'give' | null;

/** Something to be looked up, and what can be done with it. */
export function TaskLine({
  task,
  about = true,
}: {
  task: Task;
  /** Whether it says which publication it is about. */
  about?: boolean;
}) {
  const here = useHere();
  const [asked, setAsked] = useState<Asked>(null);
  const close = () => setAsked(null);
  return (
    <div className="max-w-[65ch]">
      <p className={`whitespace-pre-line ${task.state === 'open' ? '' : 'text-soft'}`}>
        {task.text}
      </p>
      {about && task.publication && (
        <p className="text-[13px]">
          <Link
            className="font-serif hover:underline"
            to={`/g/${here.id}/p/${task.publication.id}`}
          >
            {task.publication.title}
          </Link>
        </p>
      )}
      {task.doi && (
        <p className="text-[13px] text-soft">
          {task.here ? (
            <>
              it is here now:{' '}
              <Link className="act font-semibold" to={`/g/${here.id}/p/${task.here.id}`}>
                {task.here.title}
              </Link>
            </>
          ) : (
            `not here: doi:${task.doi}`
          )}
        </p>
      )}
      <How task={task} />
      {mayWrite(here) && <Acts task={task} onAsk={setAsked} />}
      {asked === 'give' && <GiveTaskDialog task={task} onClose={close} />}
      {asked === 'change' && <ChangeTaskDialog task={task} onClose={close} />}
      {(asked === 'done' || asked === 'given up') && (
        <EndTaskDialog task={task} state={asked} onClose={close} />
      )}
    </div>
  );
}

function How({ task }: { task: Task }) {
  const { owner, due, late, state, word, by, at, stateBy, stateAt } = task;
  if (state !== 'open') {
    return (
      <p className="text-[13px] text-soft">
        {state} by {stateBy}
        {stateAt && ` on ${shortDay(stateAt)}`}
        {word && `: “${word}”`}
      </p>
    );
  }
  return (
    <p className="text-[13px] text-soft">
      {owner ? `${owner.name} does it` : 'nobody has it yet'}
      {due && (
        <>
          {' · '}
          <span className={late ? 'font-semibold text-error' : ''}>
            {late ? 'was due on' : 'until'} {day(due)}
          </span>
        </>
      )}
      {` · noted by ${by} on ${shortDay(at)}`}
    </p>
  );
}

function Acts({ task, onAsk }: { task: Task; onAsk: (asked: Asked) => void }) {
  const here = useHere();
  const { give, state } = useTaskActs(here.id, task);
  if (task.state !== 'open') {
    return (
      <p className="text-[13px]">
        <Act disabled={state.isPending} onClick={() => state.mutate({ state: 'open', word: '' })}>
          Open it again
        </Act>
        {state.error && (
          <span role="alert" className="ml-3 text-error">
            {state.error.message}
          </span>
        )}
      </p>
    );
  }
  const isMine = task.owner?.id === here.me.id;
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 text-[13px]">
      <Act onClick={() => onAsk('done')}>Done…</Act>
      <Act onClick={() => onAsk('given up')}>Give up…</Act>
      {!isMine && (
        <Act
          disabled={give.isPending}
          onClick={() => give.mutate({ owner: here.me.id, said: 'It is yours now.' })}
        >
          Take it
        </Act>
      )}
      <Act onClick={() => onAsk('give')}>{isMine ? 'Give it away…' : 'Give it to…'}</Act>
      <Act onClick={() => onAsk('change')}>Write it anew…</Act>
    </p>
  );
}
