import { useState } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import type { Exported } from './api';
import { ExportDialog } from './ExportDialog';
import { MailDialog, type Annotations } from './MailDialog';

/**
 * How something leaves: as a file, and by mail for whoever may write. `of`: what is shown now, or
 * null where that cannot be said.
 */
export function LeaveActs({
  of,
  annotations,
  disabled = false,
}: {
  of: () => Exported | null | Promise<Exported | null>;
  /** It is mailed as a bibliography, with these. */
  annotations?: Annotations | undefined;
  disabled?: boolean;
}) {
  const here = useHere();
  const [exported, setExported] = useState<Exported | null>(null);
  const [mailed, setMailed] = useState<Exported | null>(null);
  const begin = (then: (what: Exported | null) => void) => () =>
    void Promise.resolve(of()).then(then);
  return (
    <>
      <Act disabled={disabled} onClick={begin(setExported)}>
        Export
      </Act>
      {mayWrite(here) && (
        <Act disabled={disabled} onClick={begin(setMailed)}>
          Mail…
        </Act>
      )}
      {exported && <ExportDialog of={exported} onClose={() => setExported(null)} />}
      {mailed && (
        <MailDialog of={mailed} annotations={annotations} onClose={() => setMailed(null)} />
      )}
    </>
  );
}
