import { useState } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { AskDialog } from './AskDialog';

export type Seen = {
  /** The address that is looked at, below the group's. */
  place: string;
  /** The sheet, where it is one. */
  q?: string;
};

/** Asks a colleague with what is looked at; a sheet can be an answer, too. */
export function AskAct({
  seen,
  disabled = false,
}: {
  /** Settles what is looked at, if it is not settled; null if that cannot be. */
  seen: () => Promise<Seen | null> | Seen;
  disabled?: boolean;
}) {
  const here = useHere();
  const [open, setOpen] = useState<Seen | null>(null);
  if (!mayWrite(here)) return null;
  const begin = () => void Promise.resolve(seen()).then(setOpen);
  return (
    <>
      <Act disabled={disabled} onClick={begin}>
        Ask a colleague…
      </Act>
      {open && <AskDialog seen={open} onClose={() => setOpen(null)} />}
    </>
  );
}
