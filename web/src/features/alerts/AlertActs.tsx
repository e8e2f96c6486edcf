import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useRunNow, useTrial } from './api';
import { ChangeAlertDialog } from './ChangeAlertDialog';
import { useAlertChanges } from './changes';
import { Trial } from './Trial';

/** What can be done to an alert. What ends keeps its arrivals; an undo lets it go on. */
export function AlertActs({ alert }: { alert: Schema['AlertLine'] }) {
  const here = useHere();
  const { pause, resume, end, change } = useAlertChanges(here.id, alert.id);
  const [changing, setChanging] = useState(false);
  const paused = alert.state === 'paused';
  // Of a paused alert it is said at once what came meanwhile.
  const [asked, setAsked] = useState(0);
  const trial = useTrial(here.id, alert.id, paused ? asked + 1 : asked);
  const run = useRunNow(here.id, alert.id);
  if (!mayWrite(here) || alert.state === 'ended') return null;
  const busy = pause.isPending || resume.isPending || end.isPending;
  return (
    <>
      <p className="mt-2 flex flex-wrap gap-x-5">
        {!paused ? (
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
        <Act disabled={trial.isFetching} onClick={() => setAsked((n) => n + 1)}>
          Try it
        </Act>
        {here.me.role === 'coordinator' && !paused && (
          <Act disabled={run.isPending} onClick={() => run.mutate()}>
            Run it now
          </Act>
        )}
      </p>
      {changing && (
        <ChangeAlertDialog alert={alert} change={change} onClose={() => setChanging(false)} />
      )}
      {trial.error && (
        <p role="alert" className="mt-1 text-error">
          {trial.error.message}
        </p>
      )}
      {paused && asked === 0 && trial.data && (
        <p className="mt-1 text-soft">
          {trial.data.found === 0 ? 'Nothing' : counted(trial.data.found, 'publication')} came in
          the pause.
        </p>
      )}
      {asked > 0 && trial.data && <Trial of={trial.data} paused={paused} />}
    </>
  );
}
