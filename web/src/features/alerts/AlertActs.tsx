import { useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { ChangeAlertDialog } from './ChangeAlertDialog';
import { useAlertChanges } from './changes';

/** What can be done to an alert. What ends keeps its arrivals; an undo lets it go on. */
export function AlertActs({ alert }: { alert: Schema['AlertLine'] }) {
  const here = useHere();
  const { pause, resume, end, change } = useAlertChanges(here.id, alert.id);
  const [changing, setChanging] = useState(false);
  if (!mayWrite(here) || alert.state === 'ended') return null;
  const busy = pause.isPending || resume.isPending || end.isPending;
  return (
    <p className="mt-2 flex flex-wrap gap-x-5">
      {alert.state === 'watching' ? (
        <Act disabled={busy} onClick={() => pause.mutate(null)}>
          Pause
        </Act>
      ) : (
        <>
          <Act main disabled={busy} onClick={() => resume.mutate(true)}>
            Go on
          </Act>
          <Act disabled={busy} onClick={() => resume.mutate(false)}>
            Go on without what came in the pause
          </Act>
        </>
      )}
      <Act onClick={() => setChanging(true)}>Change</Act>
      <Act disabled={busy} onClick={() => end.mutate(null)}>
        End it
      </Act>
      {changing && (
        <ChangeAlertDialog alert={alert} change={change} onClose={() => setChanging(false)} />
      )}
    </p>
  );
}
