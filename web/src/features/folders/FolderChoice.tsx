import { useState } from 'react';
import { useAddFolder, useFolders } from './api';

const LAST = 'lantern.folder.';

/** The folder used last in a group, if it is still there. */
export function useChosenFolder(group: string) {
  const folders = useFolders(group);
  const [picked, setPicked] = useState(localStorage.getItem(LAST + group) ?? '');
  const there = folders.data?.some((folder) => folder.id === picked);
  const chosen = there ? picked : (folders.data?.[0]?.id ?? '');
  const choose = (id: string) => {
    localStorage.setItem(LAST + group, id);
    setPicked(id);
  };
  return { folders: folders.data ?? [], chosen, choose };
}

/** Chooses one of the group's folders, or makes one. */
export function FolderChoice({
  group,
  folders,
  chosen,
  choose,
}: { group: string } & ReturnType<typeof useChosenFolder>) {
  const [name, setName] = useState<string | null>(null);
  const add = useAddFolder(group);
  const make = () =>
    add.mutate(name ?? '', {
      onSuccess: (made) => {
        choose(made.id);
        setName(null);
      },
    });
  if (name === null && folders.length > 0) {
    return (
      <div className="mt-3 flex items-end gap-3">
        <label className="min-w-0 flex-1">
          <span className="small-head">Folder</span>
          <select
            className="field block w-full"
            value={chosen}
            onChange={(event) => choose(event.target.value)}
          >
            {folders.map((folder) => (
              <option key={folder.id} value={folder.id}>
                {folder.name}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className="act mb-1" onClick={() => setName('')}>
          New folder
        </button>
      </div>
    );
  }
  return (
    <div className="mt-3">
      <div className="flex items-end gap-3">
        <label className="min-w-0 flex-1">
          <span className="small-head">Name of the new folder</span>
          <input
            className="field block w-full"
            value={name ?? ''}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              make();
            }}
          />
        </label>
        <button type="button" className="act mb-1" disabled={add.isPending} onClick={make}>
          Make it
        </button>
      </div>
      {add.error && (
        <p role="alert" className="mt-1 text-error">
          {add.error.message}
        </p>
      )}
    </div>
  );
}
