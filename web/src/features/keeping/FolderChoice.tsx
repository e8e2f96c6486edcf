import { useState } from 'react';
import { PILE, useAddFolder, useFoldersToChange } from './api';

const LAST = 'lantern.folder.';

/**
 * The folder used last in a group, of those that the member may change. `withPile`: without a choice
 * it is the member's own pile. `everybodys`: only those that the whole group sees.
 */
export function useChosenFolder(
  group: string,
  { withPile = false, everybodys = false }: { withPile?: boolean; everybodys?: boolean } = {},
) {
  const all = useFoldersToChange(group);
  const folders = all.filter((folder) => !folder.pile && !(everybodys && folder.closed));
  const [picked, setPicked] = useState(localStorage.getItem(LAST + group) ?? '');
  const there = folders.some((folder) => folder.id === picked);
  const chosen =
    there || (withPile && picked === PILE) ? picked : withPile ? PILE : (folders[0]?.id ?? '');
  const choose = (id: string) => {
    localStorage.setItem(LAST + group, id);
    setPicked(id);
  };
  return { folders, withPile, chosen, choose };
}

/** The folder that keeps go into without asking: the one chosen last; none before the first choice. */
export function useLastFolder(group: string): string | null {
  const folders = useFoldersToChange(group);
  const last = localStorage.getItem(LAST + group);
  if (last === PILE) return PILE;
  return folders.some((folder) => folder.id === last) ? last : null;
}

/** Chooses one of the group's folders, or makes one. */
export function FolderChoice({
  group,
  folders,
  withPile,
  chosen,
  choose,
}: { group: string } & ReturnType<typeof useChosenFolder>) {
  const [name, setName] = useState<string | null>(null);
  const add = useAddFolder(group);
  const make = () =>
    add.mutate(name ?? '', {
      onSuccess: (made) => {
        choose(made.answer.id);
        setName(null);
      },
    });
  if (name === null && (folders.length > 0 || withPile)) {
    return (
      <div className="mt-3 flex items-end gap-3">
        <label className="min-w-0 flex-1">
          <span className="small-head">Folder</span>
          <select
            className="field block w-full"
            value={chosen}
            onChange={(event) => choose(event.target.value)}
          >
            {withPile && <option value={PILE}>My pile (nobody else sees it)</option>}
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
