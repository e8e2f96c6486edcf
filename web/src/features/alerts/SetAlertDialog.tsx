import { useState } from 'react';
import { Link } from 'react-router';
import { Problem, type Schema } from '../../api';
import { DialogForm } from '../../ui';
import { mayWrite, useHere } from '../session';
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
  const here = useHere();
  const set = useSetAlert(group);
  const problem = set.error;
  const personal =
    problem instanceof Problem && problem.type === 'not-watchable'
      ? String(problem.details.line ?? '')
      : '';
  return (
    <DialogForm
      title={`Alert on “${search.name}”`}
      act="Set alert"
      disabled={set.isPending}
      error={set.error}
      onSubmit={() => set.mutate({ search: search.id, rhythm }, { onSuccess: onClose })}
      onClose={onClose}
    >
      {personal && mayWrite(here) && (
        <p className="mt-2">
          <Link
            className="act"
            to={`/g/${group}/search?of=${search.id}&without=${encodeURIComponent(personal)}`}
            onClick={onClose}
          >
            Change it on the sheet, without that line
          </Link>
        </p>
      )}
      <p className="mt-2 text-soft">
        What comes from now on is gathered into rounds. What is here already is not announced. A
        keep goes into {search.folder.name}.
      </p>
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
    </DialogForm>
  );
}
