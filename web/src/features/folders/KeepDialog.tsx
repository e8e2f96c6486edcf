import { useState, type FormEvent } from 'react';
import { Act, Dialog } from '../../ui';
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
  const submit = (event: FormEvent) => {
    event.preventDefault();
    choice.choose(choice.chosen);
    keep.mutate(
      { folder: choice.chosen, publication, note, ...(step ? { step } : {}) },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog title="Keep" onClose={onClose}>
      <form onSubmit={submit}>
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
        {keep.error && (
          <p role="alert" className="mt-2 text-error">
            {keep.error.message}
          </p>
        )}
        <div className="mt-4 flex gap-4">
          <button
            type="submit"
            className="act act-main"
            disabled={!choice.chosen || keep.isPending}
          >
            Keep
          </button>
          <Act onClick={onClose}>Leave</Act>
        </div>
      </form>
    </Dialog>
  );
}
