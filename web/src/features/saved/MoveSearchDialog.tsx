import { useState } from 'react';
import { DialogForm } from '../../ui';
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
      <label className="mt-3 block">
        <span className="small-head">Name</span>
        <input
          required
          maxLength={120}
          className="field block w-full"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="mt-3 block">
        <span className="small-head">Folder</span>
        <select
          className="field block w-full"
          value={folder}
          onChange={(event) => setFolder(event.target.value)}
        >
          {folders.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
    </DialogForm>
  );
}
