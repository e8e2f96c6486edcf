import { useState } from 'react';
import { hasEnded } from '../../api';
import { DialogForm } from '../../ui';
import { PILE, useKeep } from './api';
import { FolderChoice, useChosenFolder } from './FolderChoice';

/** Keeps publications in a folder of the group or in the member's pile, with a note why. */
export function KeepDialog({
  group,
  publications,
  step,
  why = '',
  onKept,
  onClose,
}: {
  group: string;
  publications: string[];
  step?: string;
  /** What its note begins as. */
  why?: string;
  onKept?: () => void;
  onClose: () => void;
}) {
  const choice = useChosenFolder(group, { withPile: true });
  const [note, setNote] = useState(why);
  const keep = useKeep(group);
  const submit = () => {
    choice.choose(choice.chosen);
    keep.mutate(
      { folder: choice.chosen, publications, note, ...(step ? { step } : {}) },
      {
        onSuccess: () => {
          onKept?.();
          onClose();
        },
        onError: (error) => hasEnded(error) && onClose(),
      },
    );
  };
  return (
    <DialogForm
      title={publications.length > 1 ? `Keep ${publications.length} publications` : 'Keep'}
      act="Keep"
      disabled={!choice.chosen || keep.isPending}
      error={keep.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <FolderChoice group={group} {...choice} />
      <label className="mt-3 block">
        <span className="small-head">
          {choice.chosen === PILE ? 'Why' : 'Why (the group will see it)'}
        </span>
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
