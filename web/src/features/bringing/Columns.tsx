import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { useHere } from '../session';
import { useColumns } from './api';

/** What the columns of a table hold; the group's next table with these heads is read like it. */
export function Columns({
  file,
  brought,
  onClose,
}: {
  file: Schema['BroughtFile'];
  brought: Schema['BroughtShown'];
  onClose: () => void;
}) {
  const here = useHere();
  const say = useColumns(here.id, brought.id, file.n);
  const [holds, setHolds] = useState(() =>
    Object.fromEntries(file.columns.map((column) => [column.head, column.holds])),
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    say.mutate(holds, { onSuccess: onClose });
  };
  const titled = Object.values(holds).includes('title');
  return (
    <form onSubmit={submit} className="mt-2 mb-2" aria-label={`Columns of ${file.name}`}>
      <p className="text-soft">
        What stands in each column? The next table with these heads is read the same way.
      </p>
      <ul className="mt-1 grid max-w-[40rem] gap-x-6 gap-y-1 sm:grid-cols-2">
        {file.columns.map(({ head }) => (
          <li key={head}>
            <label className="flex items-baseline gap-x-3">
              <span className="min-w-0 flex-1 truncate">{head}</span>
              <select
                className="field w-40"
                value={holds[head]}
                onChange={(event) => setHolds((now) => ({ ...now, [head]: event.target.value }))}
              >
                <option value="">not read</option>
                {brought.choices.map((choice) => (
                  <option key={choice}>{choice}</option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-4">
        <button type="submit" className="act act-main" disabled={!titled || say.isPending}>
          Read it so
        </button>
        <Act onClick={onClose}>As it was</Act>
        {!titled && <span className="text-soft">One of them has to hold titles.</span>}
        {say.error && (
          <span role="alert" className="text-error">
            {say.error.message}
          </span>
        )}
      </p>
    </form>
  );
}
