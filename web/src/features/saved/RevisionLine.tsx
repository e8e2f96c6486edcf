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
  return (
    <li className="border-b border-base-300 py-1.5">
      <div className="flex items-baseline gap-x-4">
        <span className={`min-w-0 flex-1 font-serif text-[16px] ${line.off ? 'line-through' : ''}`}>
          {line.text}
          {line.off && <span className="text-soft no-underline"> (switched off)</span>}
        </span>
        {mayWrite(here) && !writing && <Act onClick={() => setWriting(true)}>Remark</Act>}
      </div>
      {line.remarks.map((remark) => (
        <p key={remark.at + remark.by} className="pl-4 text-[13px]">
          {remark.by}, {shortDay(remark.at)}: <span className="text-soft">{remark.text}</span>
        </p>
      ))}
      {writing && (
        <RemarkForm search={search} n={n} line={line} onClose={() => setWriting(false)} />
      )}
    </li>
  );
}

function RemarkForm({
  search,
  n,
  line,
  onClose,
}: {
  search: string;
  n: number;
  line: Schema['LineOfRevision'];
  onClose: () => void;
}) {
  const here = useHere();
  const [text, setText] = useState('');
  const remark = useRemark(here.id, search, n);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    remark.mutate({ line: line.id, text }, { onSuccess: onClose });
  };
  return (
    <form onSubmit={submit} className="mt-1 flex flex-wrap items-center gap-3 pl-4">
      <input
        autoFocus
        required
        aria-label={`Remark on ${line.text}`}
        className="field w-[28rem]"
        value={text}
        maxLength={2000}
        onChange={(event) => setText(event.target.value)}
      />
      <button type="submit" className="act act-main" disabled={remark.isPending}>
        Say it
      </button>
      <Act onClick={onClose}>Don’t say it</Act>
    </form>
  );
}
