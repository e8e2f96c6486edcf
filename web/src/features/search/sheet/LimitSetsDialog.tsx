import { useState, type FormEvent } from 'react';
import type { Schema } from '../../../api';
import { Act, Dialog, listed, useNotice } from '../../../ui';
import { useSourceNames } from '../../catalogue';
import { useHere } from '../../session';
import { useKeepLimits, useLimitSets, useRemoveLimits } from '../sheetApi';
import { limitOf, lineText, strategyOf } from '../../strategy';
import type { SheetState } from '../useSheet';

/** The group's named sets of limits: put on in one act, or kept from this sheet. */
export function LimitSetsDialog({ sheet, onClose }: { sheet: SheetState; onClose: () => void }) {
  const here = useHere();
  const sets = useLimitSets(here.id).data ?? [];
  const keep = useKeepLimits(here.id);
  const names = useSourceNames(here.id);
  const [name, setName] = useState('');
  const inForce = sheet.lines.filter((line) => line.kind === 'limit' && !line.off);
  const remove = useRemoveLimits(here.id);
  const tell = useNotice();
  const putOn = (set: Schema['LimitSet']) => {
    const replaced = set.limits
      .map((limit) => limitOf(sheet.lines, limit.property ?? ''))
      .filter((line) => line !== undefined)
      .map((line) => lineText(line, names));
    sheet.add(set.limits);
    onClose();
    if (replaced.length === 0) return;
    tell({
      text: `“${set.name}” was put on in place of ${listed(replaced)}. Undo on the sheet brings it back.`,
    });
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate({ name, strategy: strategyOf(sheet.lines) }, { onSuccess: onClose });
  };
  return (
    <Dialog title="Limits of the group" onClose={onClose}>
      {sets.length === 0 && <p className="mt-2 text-soft">The group has kept no limits yet.</p>}
      <ul className="mt-2">
        {sets.map((set) => (
          <li key={set.id} className="py-1">
            <div className="flex items-baseline gap-4">
              <Act onClick={() => putOn(set)}>{set.name}</Act>
              <Act
                aria-label={`Remove ${set.name}`}
                disabled={remove.isPending}
                onClick={() => remove.mutate(set.id)}
              >
                Remove
              </Act>
            </div>
            <p className="text-[13px] text-soft">
              {set.limits.map((line) => lineText(line, names)).join(' · ')} (kept by {set.by})
            </p>
          </li>
        ))}
      </ul>
      {inForce.length > 0 && (
        <form onSubmit={submit} className="mt-3">
          <label className="block">
            <span className="small-head">Keep the limits of this sheet as</span>
            <input
              required
              maxLength={80}
              className="field block w-full"
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          {keep.error && (
            <p role="alert" className="mt-2 text-error">
              {keep.error.message}
            </p>
          )}
          <button type="submit" disabled={keep.isPending} className="act act-main mt-3">
            Keep for the group
          </button>
        </form>
      )}
      <p className="mt-3">
        <Act onClick={onClose}>Close</Act>
      </p>
    </Dialog>
  );
}
