import { useState } from 'react';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useReadCql, useRendered } from './sheetApi';
import type { Strategy } from '../strategy';

/** The strategy as one line of CQL, which can be edited, and as a plain sentence. */
export function CqlDialog({
  strategy,
  onStrategy,
  onClose,
}: {
  strategy: Strategy;
  onStrategy: (strategy: Strategy) => void;
  onClose: () => void;
}) {
  const here = useHere();
  const rendered = useRendered(here.id, strategy);
  const read = useReadCql(here.id);
  const [typed, setTyped] = useState<string | null>(null);
  const cql = typed ?? rendered.data?.cql ?? '';
  const submit = () =>
    read.mutate(cql, {
      onSuccess: (next) => {
        onStrategy(next);
        onClose();
      },
    });
  return (
    <DialogForm
      wide
      title="In other words"
      act="Put on the sheet"
      disabled={cql.trim() === '' || typed === null || read.isPending}
      error={read.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {rendered.data && <p className="mt-2 font-serif text-[15px]">{rendered.data.sentence}</p>}
      <label className="mt-3 block">
        <span className="small-head">In CQL</span>
        <textarea
          autoFocus
          rows={6}
          spellCheck={false}
          className="field block w-full font-serif"
          value={cql}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
    </DialogForm>
  );
}
