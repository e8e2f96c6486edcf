import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useRemark } from './api';

/** A line of a revision with what was remarked on it. */
export function RevisionLine({
  search,
  n,
  line,
}: {
  search: string;
  n: number;
  line: Schema['LineOfRevision'];
}) {
  const here = useHere();
  const [writing, setWriting] = useState(false);
  const [text, setText] = useState('');
  const remark = useRemark(here.id, search, n);
  // What was said stands from the key on: what follows when it is answered moves nothing.
  const [said, setSaid] = useState<{ text: string; before: number }>();
  if (said && line.remarks.length !== said.before) setSaid(undefined);
  const say = () => {
    setSaid({ text, before: line.remarks.length });
    setWriting(false);
    remark.mutate(
      { line: line.id, text },
      {
        onSuccess: () => setText(''),
        onError: () => {
          setSaid(undefined);
          setWriting(true);
        },
      },
    );
  };
  return (
    <li className="border-b border-base-300 py-1.5">
      <div className="flex items-baseline gap-x-4">
        <span className={`min-w-0 flex-1 font-serif text-[16px] ${line.off ? 'line-through' : ''}`}>
          {line.text}
          {line.off && <span className="text-soft no-underline"> (switched off)</span>}
        </span>
        {mayWrite(here) && !writing && (
          <Act disabled={remark.isPending} onClick={() => setWriting(true)}>
            Remark
          </Act>
        )}
      </div>
      {line.remarks.map((remark) => (
        <p key={remark.at + remark.by} className="pl-4 text-[13px]">
          {remark.by}, {shortDay(remark.at)}: <span className="text-soft">{remark.text}</span>
        </p>
      ))}
      {said && (
        <p className="pl-4 text-[13px]">
          {here.me.name}: <span className="text-soft">{said.text}</span>
        </p>
      )}
      {writing && (
        <RemarkForm
          label={`Remark on ${line.text}`}
          text={text}
          onText={setText}
          onSay={say}
          onClose={() => setWriting(false)}
        />
      )}
    </li>
  );
}

function RemarkForm({
  label,
  text,
  onText,
  onSay,
  onClose,
}: {
  label: string;
  text: string;
  onText: (text: string) => void;
  onSay: () => void;
  onClose: () => void;
}) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSay();
  };
  return (
    <form onSubmit={submit} className="mt-1 flex flex-wrap items-center gap-3 pl-4">
      <input
        autoFocus
        required
        aria-label={label}
        className="field w-[28rem]"
        value={text}
        maxLength={2000}
        onChange={(event) => onText(event.target.value)}
      />
      <button type="submit" className="act act-main">
        Say it
      </button>
      <Act onClick={onClose}>Don’t say it</Act>
    </form>
  );
}
