import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useGive } from './api';

/** Chooses the colleague who is to check a revision. */
export function GiveDialog({
  search,
  revision,
  onClose,
}: {
  search: string;
  revision: Schema['RevisionShown'];
  onClose: () => void;
}) {
  const here = useHere();
  const asked = revision.checks.map((check) => check.checker);
  const others = here.members.filter(
    (member) =>
      member.role !== 'guest' && member.name !== revision.by && !asked.includes(member.name),
  );
  const [chosen, setChosen] = useState(others[0]?.id ?? '');
  const give = useGive(here.id, search, revision.n);
  const member = others.find((each) => each.id === chosen);
  return (
    <DialogForm
      title={`Give revision ${revision.n} to be checked`}
      act="Give it"
      disabled={!member || give.isPending}
      error={give.error}
      onSubmit={() => member && give.mutate(member, { onSuccess: onClose })}
      onClose={onClose}
    >
      {others.length === 0 ? (
        <p className="mt-2 text-soft">There is nobody else in the group who could check it.</p>
      ) : (
        <label className="mt-3 block">
          <span className="small-head">Colleague</span>
          <select
            className="field block w-full"
            value={chosen}
            onChange={(event) => setChosen(event.target.value)}
          >
            {others.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <p className="mt-2 text-soft">
        It is shown to them under Folders; they remark on lines, and say when they have checked it.
      </p>
    </DialogForm>
  );
}
