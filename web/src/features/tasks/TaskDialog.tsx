import { useState } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, DialogForm } from '../../ui';
import { offered, useHere } from '../session';
import { useNoteTask, useTaskActs, type Task } from './api';

/** What a new task begins with; what it comes from goes along. */
export type Begun = Pick<Schema['NewTask'], 'text' | 'publication' | 'remark' | 'doi'>;

/** Notes something to be looked up: what, by whom, until when. */
export function NewTaskDialog({ begun, onClose }: { begun: Begun; onClose: () => void }) {
  const here = useHere();
  const note = useNoteTask(here.id);
  const [text, setText] = useState(begun.text);
  const [owner, setOwner] = useState(here.me.id);
  const [due, setDue] = useState('');
  return (
    <DialogForm
      title="To be looked up"
      act="Note it"
      disabled={note.isPending || !text.trim()}
      error={note.error}
      onSubmit={() =>
        note.mutate(
          { ...begun, text, owner: owner || null, due: due || null },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <What text={text} onText={setText} due={due} onDue={setDue} />
      <Who owner={owner} onOwner={setOwner} />
    </DialogForm>
  );
}

/** Gives a task to a member, or leaves it to whoever takes it. */
export function GiveTaskDialog({ task, onClose }: { task: Task; onClose: () => void }) {
  const here = useHere();
  const { give } = useTaskActs(here.id, task);
  const [owner, setOwner] = useState(task.owner?.id ?? '');
  const name = here.members.find((member) => member.id === owner)?.name;
  const said = name ? `${name} does it.` : 'It waits for somebody to take it.';
  return (
    <DialogForm
      title="Who does it"
      act="Give it"
      disabled={give.isPending || owner === (task.owner?.id ?? '')}
      error={give.error}
      onSubmit={() => give.mutate({ owner: owner || null, said }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="font-serif">{task.text}</p>
      <Who owner={owner} onOwner={setOwner} />
    </DialogForm>
  );
}

function Who({ owner, onOwner }: { owner: string; onOwner: (owner: string) => void }) {
  const here = useHere();
  return (
    <ChoiceField
      label="Who does it"
      value={owner}
      of={here.members.filter((member) => member.role !== 'guest').map(offered)}
      none="whoever takes it"
      onChange={onOwner}
    />
  );
}

/** Writes a task anew. */
export function ChangeTaskDialog({ task, onClose }: { task: Task; onClose: () => void }) {
  const here = useHere();
  const { write } = useTaskActs(here.id, task);
  const [text, setText] = useState(task.text);
  const [due, setDue] = useState(task.due ?? '');
  return (
    <DialogForm
      title="To be looked up"
      act="Write it anew"
      disabled={write.isPending || !text.trim()}
      error={write.error}
      onSubmit={() => write.mutate({ text, due: due || null }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <What text={text} onText={setText} due={due} onDue={setDue} />
    </DialogForm>
  );
}

function What({
  text,
  onText,
  due,
  onDue,
}: {
  text: string;
  onText: (text: string) => void;
  due: string;
  onDue: (due: string) => void;
}) {
  return (
    <>
      <label className="block">
        <span className="small-head">What</span>
        <textarea
          required
          className="field block w-full"
          rows={3}
          maxLength={1000}
          value={text}
          onChange={(event) => onText(event.target.value)}
        />
      </label>
      <label className="mt-3 block">
        <span className="small-head">Until (may be left out)</span>
        <input
          type="date"
          className="field block"
          value={due}
          onChange={(event) => onDue(event.target.value)}
        />
      </label>
    </>
  );
}

/** Ends a task: with what came of it, or with why it is given up. */
export function EndTaskDialog({
  task,
  state,
  onClose,
}: {
  task: Task;
  state: 'done' | 'given up';
  onClose: () => void;
}) {
  const here = useHere();
  const { state: end } = useTaskActs(here.id, task);
  const [word, setWord] = useState('');
  const isDone = state === 'done';
  return (
    <DialogForm
      title={isDone ? 'What came of it' : 'Why it is given up'}
      act={isDone ? 'It is done' : 'Give it up'}
      disabled={end.isPending || (!isDone && !word.trim())}
      error={end.error}
      onSubmit={() => end.mutate({ state, word }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="mb-2 font-serif">{task.text}</p>
      <textarea
        aria-label={isDone ? 'What came of it; may be left empty' : 'Why, in a word'}
        placeholder={isDone ? 'What came of it; may be left empty' : 'Why, in a word'}
        className="field block w-full"
        rows={3}
        maxLength={1000}
        value={word}
        onChange={(event) => setWord(event.target.value)}
      />
    </DialogForm>
  );
}
