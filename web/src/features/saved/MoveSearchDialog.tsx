import { useState } from 'react';
import { ChoiceField, DialogForm, NameField } from '../../ui';
import { useFolderNames } from '../alerts';
import { useHere } from '../session';
import { useSearchChanges } from './changes';

/** Names a saved search, and puts it into another folder. */
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
  const { change } = useSearchChanges(here.id, search.id);
  const folders = useFolderNames(here.id).data ?? [search.folder];
  return (
    <DialogForm
      title="Name and place"
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() => change.mutate({ name, folder }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <NameField value={name} onChange={setName} />
      <ChoiceField label="Folder" value={folder} of={folders} onChange={setFolder} />
    </DialogForm>
  );
}
