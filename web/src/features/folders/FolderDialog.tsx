import { useState } from 'react';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useFolders } from './api';
import { useFolderChanges } from './changes';

/** Names a folder, and puts it into another one. */
export function FolderDialog({
  folder,
  onClose,
}: {
  folder: { id: string; name: string; parent?: string | null };
  onClose: () => void;
}) {
  const here = useHere();
  const [name, setName] = useState(folder.name);
  const [parent, setParent] = useState(folder.parent ?? '');
  const { change } = useFolderChanges(here.id, folder.id);
  const others = (useFolders(here.id).data ?? []).filter(
    (one) => !one.pile && one.id !== folder.id,
  );
  return (
    <DialogForm
      title="Name and place"
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() => change.mutate({ name, parent: parent || null }, { onSuccess: onClose })}
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
        <span className="small-head">Inside</span>
        <select
          className="field block w-full"
          value={parent}
          onChange={(event) => setParent(event.target.value)}
        >
          <option value="">no other folder</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
    </DialogForm>
  );
}
