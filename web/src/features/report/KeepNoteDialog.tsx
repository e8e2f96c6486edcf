import { DialogForm } from '../../ui';
import { FolderChoice, useChosenFolder } from '../keeping';
import { useKeepNote } from './api';

/** Keeps a written account in a folder, as a note of today. */
export function KeepNoteDialog({
  group,
  of,
  onClose,
}: {
  group: string;
  of: string;
  onClose: () => void;
}) {
  const choice = useChosenFolder(group);
  const keep = useKeepNote(group);
  const submit = () => {
    choice.choose(choice.chosen);
    keep.mutate({ folder: choice.chosen, of }, { onSuccess: onClose });
  };
  return (
    <DialogForm
      title="Keep it in a folder"
      act="Keep"
      disabled={!choice.chosen || keep.isPending}
      error={keep.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p className="mt-2 text-soft">
        It is kept as it reads today, with the date; the group can read it there.
      </p>
      <FolderChoice group={group} {...choice} />
    </DialogForm>
  );
}
