import { useState } from 'react';
import { ChoiceField, counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useLetRest, useOwedByAlert } from './api';

/** Lets a heap rest, whole, of one alert, or what is older than a day. */
export function LetRest({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const [alert, setAlert] = useState('');
  const [before, setBefore] = useState('');
  const waits = useOwedByAlert(here.id).data ?? [];
  const rest = useLetRest(here.id);
  const all = waits.reduce((sum, one) => sum + one.owed, 0);
  const meant = waits.find((one) => one.alert === alert)?.owed ?? all;
  return (
    <DialogForm
      title="Let rest"
      act={before ? 'Let it rest' : `Let ${counted(meant, 'arrival')} rest`}
      disabled={rest.isPending || meant === 0}
      error={rest.error}
      onSubmit={() =>
        rest.mutate(
          { ...(alert && { alert }), ...(before && { before }) },
          { onSuccess: () => onClose() },
        )
      }
      onClose={onClose}
    >
      <p className="max-w-[60ch]">
        What rests waits for you no more and counts as reviewed by nobody. It stands under Rested,
        where you can still say something of it; the lamps of the others are not touched.
      </p>
      <ChoiceField
        label="Of"
        value={alert}
        none={`all alerts: ${all.toLocaleString('en-GB')}`}
        of={waits.map((one) => ({
          id: one.alert,
          name: `${one.name}: ${one.owed.toLocaleString('en-GB')}`,
        }))}
        onChange={setAlert}
      />
      <label className="mt-3 block">
        <span className="small-head">Only what came before (if you like)</span>
        <input
          type="date"
          className="field block"
          value={before}
          onChange={(event) => setBefore(event.target.value)}
        />
      </label>
    </DialogForm>
  );
}
