import { useState } from 'react';
import { DialogForm } from '../../ui';
import { useKeep } from './api';
import { FolderChoice, useChosenFolder } from './FolderChoice';

/** Keeps a publication in a folder of the group, with a note why. */
export function KeepDialog({
  group,
  publication,
  step,
  onClose,
}: {
  group: string;
  publication: string;
  step?: string;
  onClose: () => void;
}) {
  const choice = useChosenFolder(group);
  const [note, setNote] = useState('');
  const keep = useKeep(group);
  const submit = () => {
    choice.choose(choice.chosen);
    keep.mutate(
      { folder: choice.chosen, publication, note, ...(step ? { step } : {}) },
      { onSuccess: onClose },
    );
  };
  return (
    <DialogForm
      title="Keep"
      act="Keep"
      disabled={!choice.chosen || keep.isPending}
      error={keep.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <FolderChoice group={group} {...choice} />
      <label className="mt-3 block">
        <span className="small-head">Why (the group will see it)</span>
        <input
          autoFocus
          className="field block w-full"
          value={note}
          maxLength={4000}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
    </DialogForm>
  );
}
