import { useState } from 'react';
import { ChoiceField, DialogForm, NameField } from '../../ui';
import { useFolderNames } from '../alerts';
import { useHere } from '../session';
import { useSearchChanges } from './changes';

/** Names a saved search and puts it into another folder, or saves it there once more. */
export function MoveSearchDialog({
  search,
  onClose,
}: {
  search: { id: string; name: string; folder: { id: string; name: string } };
  onClose: () => void;
}) {
  const here = useHere();
  const [name, setName] = useState(search.name);
  const [folder, setFolder] = useState(search.folder.id);
  const [copies, setCopies] = useState(false);
  const { change, copy } = useSearchChanges(here.id, search.id);
  const given = copies ? copy : change;
  const folders = useFolderNames(here.id).data ?? [search.folder];
  return (
    <DialogForm
      title="Name and place"
      act={copies ? 'Copy it' : 'Change it'}
      disabled={given.isPending}
      error={given.error}
      onSubmit={() => given.mutate({ name, folder }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <NameField value={name} onChange={setName} />
      <ChoiceField label="Folder" value={folder} of={folders} onChange={setFolder} />
      <label className="mt-3 block">
        <input
          type="checkbox"
          checked={copies}
          onChange={(event) => setCopies(event.target.checked)}
        />{' '}
        it stays where it is, and a copy of what it asks now is made
      </label>
    </DialogForm>
  );
}
