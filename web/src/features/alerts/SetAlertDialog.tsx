import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act, Dialog } from '../../ui';
import { useSetAlert } from './api';
import { RHYTHMS } from './rhythm';

/** Watches a saved search. */
export function SetAlertDialog({
  group,
  search,
  onClose,
}: {
  group: string;
  search: Schema['SavedSearch'];
  onClose: () => void;
}) {
  const [rhythm, setRhythm] = useState('daily');
  const set = useSetAlert(group);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    set.mutate({ search: search.id, rhythm }, { onSuccess: onClose });
  };
  return (
    <Dialog title={`Alert on “${search.name}”`} onClose={onClose}>
      <p className="mt-2 text-soft">
        What comes from now on is gathered into rounds. What is here already is not announced. A
        keep goes into {search.folder.name}.
      </p>
      <form onSubmit={submit}>
        <label className="mt-3 block">
          <span className="small-head">Its rounds close</span>
          <select
            autoFocus
            className="field block w-full"
            value={rhythm}
            onChange={(event) => setRhythm(event.target.value)}
          >
            {RHYTHMS.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {set.error && (
          <p role="alert" className="mt-2 text-error">
            {set.error.message}
          </p>
        )}
        <div className="mt-4 flex gap-4">
          <button type="submit" className="act act-main" disabled={set.isPending}>
            Set alert
          </button>
          <Act onClick={onClose}>Leave</Act>
        </div>
      </form>
    </Dialog>
  );
}
