import { useId, useRef, useState } from 'react';
import { Act } from '../../ui';
import { useHere } from '../session';
import { fitting, mentionAt, mentioning } from './mention';

/** Where a remark is written; `@` and the first letters offer members. */
export function WriteRemark({
  label,
  act,
  first = '',
  pending,
  error,
  onWrite,
  onLeave,
}: {
  label: string;
  act: string;
  first?: string;
  pending: boolean;
  error: Error | null;
  onWrite: (text: string) => void;
  /** Absent where there is nothing to leave. */
  onLeave?: () => void;
}) {
  const here = useHere();
  const box = useRef<HTMLTextAreaElement>(null);
  const list = useId();
  const [text, setText] = useState(first);
  const [caret, setCaret] = useState(0);
  const [at, setAt] = useState(0);
  const mention = mentionAt(text, caret);
  const names = here.members.filter(({ id }) => id !== here.me.id).map(({ name }) => name);
  const offered = mention ? fitting(names, mention.typed) : [];
  const chosen = offered[Math.min(at, offered.length - 1)];
  const put = (name: string) => {
    const [next, behind] = mentioning(text, caret, name);
    setText(next);
    setCaret(behind);
    requestAnimationFrame(() => {
      box.current?.focus();
      box.current?.setSelectionRange(behind, behind);
    });
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onWrite(text);
      }}
    >
      <textarea
        ref={box}
        autoFocus={onLeave !== undefined}
        aria-label={label}
        aria-autocomplete="list"
        aria-controls={offered.length > 0 ? list : undefined}
        aria-activedescendant={chosen ? `${list}-${offered.indexOf(chosen)}` : undefined}
        className="field block w-full"
        rows={2}
        maxLength={10_000}
        placeholder={`${label}; @ and a name asks somebody to look`}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setCaret(event.target.selectionStart);
          setAt(0);
        }}
        onSelect={(event) => setCaret(event.currentTarget.selectionStart)}
        onKeyDown={(event) => {
          const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.currentTarget.form?.requestSubmit();
          } else if (chosen && step) {
            event.preventDefault();
            setAt((now) => Math.min(offered.length - 1, Math.max(0, now + step)));
          } else if (chosen && mention?.typed && (event.key === 'Enter' || event.key === 'Tab')) {
            event.preventDefault();
            put(chosen);
          } else if (event.key === 'Escape') {
            onLeave?.();
          }
        }}
      />
      {offered.length > 0 && (
        <ul id={list} role="listbox" aria-label="Members" className="flex flex-wrap gap-x-3">
          {offered.map((name, n) => (
            // By keyboard it is chosen from the box, which keeps the focus.
            <li
              key={name}
              id={`${list}-${n}`}
              role="option"
              aria-selected={name === chosen}
              className={`act cursor-pointer ${name === chosen ? 'font-semibold underline' : ''}`}
              onPointerDown={(event) => {
                event.preventDefault();
                put(name);
              }}
            >
              {name}
            </li>
          ))}
        </ul>
      )}
      {error && (
        <p role="alert" className="text-error">
          {error.message}
        </p>
      )}
      {(text.trim() !== '' || onLeave) && (
        <p className="flex gap-x-4">
          <Act type="submit" main disabled={pending || !text.trim()}>
            {act}
          </Act>
          {onLeave && <Act onClick={onLeave}>Change nothing</Act>}
        </p>
      )}
    </form>
  );
}
