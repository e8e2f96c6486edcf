import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useChangeNote, useRemarkOnNote, useRemoveNote } from './api';
import { WriteNote } from './WriteNote';

type Shown = Schema['NoteShown'];

/** One note with what others said to it. */
export function MarginNote({
  note,
  now = false,
  onGo,
  onCopy,
}: {
  note: Shown;
  /** Whether its place is what is looked at. */
  now?: boolean;
  /** To its place; absent where that is not found. */
  onGo?: () => void;
  onCopy: () => void;
}) {
  const here = useHere();
  const change = useChangeNote(here.id, note.id);
  const remove = useRemoveNote(here.id, note.id);
  const [changing, setChanging] = useState(false);
  const [remarking, setRemarking] = useState(false);
  const { kind, text, shared, done } = note;
  if (changing) {
    return (
      <WriteNote
        first={{ kind, text, shared }}
        quote={note.quote}
        act="Change it"
        pending={change.isPending}
        error={change.error}
        onWrite={(writing) =>
          change.mutate(
            { content: { ...writing, done }, said: 'The note is changed.' },
            { onSuccess: () => setChanging(false) },
          )
        }
        onLeave={() => setChanging(false)}
      />
    );
  }
  return (
    <div
      className={`border-l-2 pl-2.5 text-[13.5px] ${
        now ? 'border-base-content' : kind === 'note' ? 'border-accent' : 'border-rule-strong'
      }`}
    >
      <p>
        <b className="font-semibold">{note.by}</b>{' '}
        <span className="text-[12.5px] text-soft">
          {kind !== 'note' && `${kind}${done ? ', done' : ''} · `}
          {note.mine && !shared ? 'only you see it' : 'the group sees it'} · {shortDay(note.at)}
          {note.label && ` · p. ${note.label}`}
        </span>
      </p>
      {onGo ? (
        <button
          type="button"
          className="line-clamp-3 min-h-[24px] text-left font-serif text-[13px] text-soft hover:underline"
          title="To its place"
          onClick={onGo}
        >
          “{note.quote}”
        </button>
      ) : (
        <p className="font-serif text-[13px] text-soft">“{note.quote}”</p>
      )}
      {text && <p className="whitespace-pre-wrap">{text}</p>}
      {note.remarks.map((said, n) => (
        <p key={n} className="whitespace-pre-wrap text-soft">
          {said.by}: {said.text}
        </p>
      ))}
      {(change.error ?? remove.error) && (
        <p role="alert" className="text-error">
          {(change.error ?? remove.error)?.message}
        </p>
      )}
      <p className="flex flex-wrap gap-x-3 text-[12.5px]">
        <Act onClick={onCopy}>Copy</Act>
        {mayWrite(here) && kind === 'task' && (
          <Act
            onClick={() =>
              change.mutate({
                content: { kind, text, shared, done: !done },
                said: done ? 'The task is open again.' : 'The task is done.',
              })
            }
          >
            {done ? 'Not done' : 'Done'}
          </Act>
        )}
        {note.mine && !shared && (
          <Act
            onClick={() =>
              change.mutate({
                content: { kind, text, shared: true, done },
                said: 'The group sees the note.',
              })
            }
          >
            Share
          </Act>
        )}
        {mayWrite(here) && shared && <Act onClick={() => setRemarking(true)}>Remark</Act>}
        {note.mine && <Act onClick={() => setChanging(true)}>Change</Act>}
        {note.mine && <Act onClick={() => remove.mutate(null)}>Take away</Act>}
      </p>
      {remarking && <Remark note={note.id} onDone={() => setRemarking(false)} />}
    </div>
  );
}

function Remark({ note, onDone }: { note: string; onDone: () => void }) {
  const here = useHere();
  const remark = useRemarkOnNote(here.id, note);
  const [text, setText] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) remark.mutate(text, { onSuccess: onDone });
      }}
    >
      <input
        autoFocus
        aria-label="Remark"
        className="field w-full"
        maxLength={5000}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
      />
      {remark.error && (
        <p role="alert" className="text-error">
          {remark.error.message}
        </p>
      )}
      <Act type="submit" disabled={remark.isPending || !text.trim()}>
        Say it
      </Act>
    </form>
  );
}
