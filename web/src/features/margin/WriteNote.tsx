import { useState, type KeyboardEvent } from 'react';
import { Act } from '../../ui';

export type Writing = { kind: string; text: string; shared: boolean };

const KINDS = ['note', 'question', 'task'] as const;

/** A note as it is written; nobody else sees it until it is shared. */
export function WriteNote({
  first,
  quote,
  pending,
  error,
  act,
  onChange,
  onWrite,
  onLeave,
}: {
  first: Writing;
  quote: string;
  pending: boolean;
  error: Error | null;
  act: string;
  /** Told on the way, so that what is half written can be kept. */
  onChange?: (writing: Writing) => void;
  onWrite: (writing: Writing) => void;
  onLeave: () => void;
}) {
  const [writing, setWriting] = useState(first);
  const change = (part: Partial<Writing>) => {
    const next = { ...writing, ...part };
    setWriting(next);
    onChange?.(next);
  };
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') onLeave();
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && !pending) onWrite(writing);
  };
  return (
    <form
      className="border-l-2 border-accent pl-2.5"
      aria-label="Note at the passage"
      onKeyDown={keys}
      onSubmit={(event) => {
        event.preventDefault();
        onWrite(writing);
      }}
    >
      <p className="line-clamp-3 font-serif text-[13px] text-soft">“{quote}”</p>
      <textarea
        autoFocus
        aria-label="What you note"
        className="field mt-1 block w-full"
        rows={3}
        maxLength={5000}
        value={writing.text}
        onChange={(event) => change({ text: event.target.value })}
      />
      <fieldset className="mt-1 flex flex-wrap gap-x-3">
        <legend className="sr-only">Kind</legend>
        {KINDS.map((kind) => (
          <label key={kind} className="min-h-[24px]">
            <input
              type="radio"
              name="kind"
              checked={writing.kind === kind}
              onChange={() => change({ kind })}
            />{' '}
            {kind}
          </label>
        ))}
      </fieldset>
      <label className="block min-h-[24px]">
        <input
          type="checkbox"
          checked={writing.shared}
          onChange={(event) => change({ shared: event.target.checked })}
        />{' '}
        the group sees it
      </label>
      {error && (
        <p role="alert" className="text-error">
          {error.message}
        </p>
      )}
      <p className="mt-1 flex gap-x-4">
        <Act type="submit" main disabled={pending}>
          {act}
        </Act>
        <Act onClick={onLeave}>Leave it</Act>
      </p>
    </form>
  );
}
