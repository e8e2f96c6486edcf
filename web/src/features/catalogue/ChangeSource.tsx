import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm, NameField } from '../../ui';
import { useHere } from '../session';
import { AbstractsField, RankField } from './AddSource';
import { HarvestTimes } from './HarvestTimes';
import { useChangeSource } from './keepingApi';

/** What a steward changes of a source that is there. */
export function ChangeSource({
  source,
  onClose,
}: {
  source: Schema['SourceView'];
  onClose: () => void;
}) {
  const here = useHere();
  const change = useChangeSource(here.id);
  const [kept, setKept] = useState({
    name: source.name,
    rank: source.rank,
    abstractsOpen: source.abstractsOpen,
    paused: source.paused,
    everyHours: source.everyHours,
    hourFrom: source.hourFrom ?? null,
    hourTo: source.hourTo ?? null,
  });
  const part = (some: Partial<typeof kept>) => setKept({ ...kept, ...some });
  return (
    <DialogForm
      title={`Change ${source.name}`}
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() => change.mutate({ source: source.key, kept }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <NameField value={kept.name} onChange={(name) => part({ name })} />
      <RankField rank={kept.rank} onChange={(rank) => part({ rank })} />
      <AbstractsField
        open={kept.abstractsOpen}
        onChange={(abstractsOpen) => part({ abstractsOpen })}
      />
      {!source.files && <HarvestTimes times={kept} onChange={part} />}
      {!source.files && (
        <label className="mt-3 flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={kept.paused}
            onChange={(event) => part({ paused: event.target.checked })}
          />
          Paused: what it has supplied stays, nothing more is asked for
        </label>
      )}
    </DialogForm>
  );
}
