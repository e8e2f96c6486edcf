import { useState } from 'react';
import { ChoiceField, DialogForm, NameField } from '../../ui';
import { useHere } from '../session';
import { useFoldersToChange } from '../keeping';
import { useFolderChanges } from './changes';

/** Names a folder, and puts it into another one. */
export function FolderDialog({
  folder,
  onClose,
}: {
  folder: { id: string; name: string; description: string; parent?: string | null };
  onClose: () => void;
}) {
  const here = useHere();
  const [name, setName] = useState(folder.name);
  const [description, setDescription] = useState(folder.description);
  const [parent, setParent] = useState(folder.parent ?? '');
  const { change } = useFolderChanges(here.id, folder.id);
  const others = useFoldersToChange(here.id).filter((one) => !one.pile && one.id !== folder.id);
  return (
    <DialogForm
      title="Name and place"
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() =>
        change.mutate({ name, description, parent: parent || null }, { onSuccess: onClose })
      }
      onClose={onClose}
    >
      <NameField value={name} onChange={setName} />
      <label className="mt-3 block">
        <span className="small-head">What it is for (may be left out)</span>
        <textarea
          className="field block w-full"
          rows={3}
          maxLength={1000}
          value={description}
          onChange={(event) => setDescription(event.target.value)}
        />
      </label>
      <ChoiceField
        label="Inside"
        value={parent}
        of={others}
        none="no other folder"
        onChange={setParent}
      />
    </DialogForm>
  );
}
