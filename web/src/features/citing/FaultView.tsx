import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import type { useMend } from './mendApi';

/** What is wrong, in a sentence, with what would stand there instead, and the way to mend it. */
export function FaultView({
  fault,
  publication,
  writes,
  hint,
  mend,
}: {
  fault: Schema['FaultShown'];
  publication: string;
  writes: boolean;
  /** The key that mends this one. */
  hint?: string | undefined;
  mend: ReturnType<typeof useMend>;
}) {
  const [typing, setTyping] = useState(false);
  const give = (value: string) =>
    mend.mutate(
      { publication, field: fault.field ?? '', was: fault.reads, value },
      { onSuccess: () => setTyping(false) },
    );
  return (
    <li className="border-b border-rule-strong py-2.5 last:border-0">
      <p>{fault.sentence}</p>
      {fault.mend && (
        <div className="font-serif">
          <p>
            <del className="text-soft">
              <span className="sr-only">as it is: </span>
              {fault.reads || '(nothing)'}
            </del>
          </p>
          <p>
            <ins className="no-underline">
              <span className="sr-only">mended: </span>
              {fault.mend}
            </ins>
          </p>
        </div>
      )}
      {writes && fault.field && (
        <>
          <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
            {fault.mend && (
              <Act
                main
                {...(hint ? { hint } : {})}
                disabled={mend.isPending}
                onClick={() => give(fault.mend)}
              >
                Mend it
              </Act>
            )}
            <Act aria-expanded={typing} onClick={() => setTyping((now) => !now)}>
              Write the {fault.fieldWords}
            </Act>
          </p>
          {typing && (
            <FieldForm
              label={fault.fieldWords ?? ''}
              value={fault.mend || fault.reads}
              pending={mend.isPending}
              onGive={give}
            />
          )}
        </>
      )}
    </li>
  );
}

/** A field written anew. */
export function FieldForm({
  label,
  value,
  pending,
  onGive,
}: {
  label: string;
  value: string;
  pending: boolean;
  onGive: (value: string) => void;
}) {
  const [text, setText] = useState(value);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!pending) onGive(text);
  };
  return (
    <form onSubmit={submit} className="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1">
      <label className="min-w-[12rem] flex-1">
        <span className="small-head capitalize">{label}</span>
        <textarea
          autoFocus
          rows={text.length > 60 ? 3 : 1}
          className="field block w-full"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey) return;
            event.preventDefault();
            event.currentTarget.form?.requestSubmit();
          }}
        />
      </label>
      <button type="submit" className="act mb-1" disabled={pending || text === value}>
        Mend it so
      </button>
      {label === 'authors' && (
        <p className="w-full text-[13px] text-soft">
          Oxlade, Rhona; Berg, Bo; Verge Trust. Whoever has no comma is an institution.
        </p>
      )}
    </form>
  );
}
