import { useState } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useFolderNames } from './api';
import type { useAlertChanges } from './changes';
import { RHYTHMS } from './rhythm';

/** Changes when rounds close, how many look at each arrival, and where keeps go. */
export function ChangeAlertDialog({
  alert,
  change,
  onClose,
}: {
  alert: Schema['AlertLine'];
  change: ReturnType<typeof useAlertChanges>['change'];
  onClose: () => void;
}) {
  const here = useHere();
  const folders = useFolderNames(here.id).data ?? [alert.folder];
  const [rhythm, setRhythm] = useState(alert.rhythm);
  const [hour, setHour] = useState(alert.hour.slice(0, 5));
  const [asked, setAsked] = useState(String(alert.asked));
  const [folder, setFolder] = useState(alert.folder.id);
  const rhythms = RHYTHMS.some(([value]) => value === alert.rhythm)
    ? RHYTHMS
    : [[alert.rhythm, 'as it is now'] as const, ...RHYTHMS];
  return (
    <DialogForm
      title={`Change the alert on “${alert.name}”`}
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() =>
        change.mutate({ rhythm, hour, asked: Number(asked), folder }, { onSuccess: onClose })
      }
      onClose={onClose}
    >
      <label className="mt-3 block">
        <span className="small-head">Its rounds close</span>
        <select
          className="field block w-full"
          value={rhythm}
          onChange={(event) => setRhythm(event.target.value)}
        >
          {rhythms.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-3 flex gap-4">
        <label>
          <span className="small-head">At (the group’s time)</span>
          <input
            type="time"
            required
            className="field block"
            value={hour}
            onChange={(event) => setHour(event.target.value)}
          />
        </label>
        <label>
          <span className="small-head">Lit lamps that cover an arrival</span>
          <input
            type="number"
            required
            min={1}
            max={20}
            className="field block w-24"
            value={asked}
            onChange={(event) => setAsked(event.target.value)}
          />
        </label>
      </div>
      <ChoiceField label="A keep goes into" value={folder} of={folders} onChange={setFolder} />
    </DialogForm>
  );
}
