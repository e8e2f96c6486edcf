import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { ToCheck } from '../saved';
import { mayWrite, useHere } from '../session';
import { useAddFolder, useFolders } from '../keeping';

export function FoldersPage() {
  const here = useHere();
  const folders = useFolders(here.id);
  if (folders.error) return <Failed error={folders.error} again={() => void folders.refetch()} />;
  if (!folders.data) return <Waiting what="folders" />;
  return (
    <div className="page">
      <title>Folders · Quiet Lantern</title>
      <Title help="folders">Folders of {here.name}</Title>
      {!here.me.onlyFolders && <ToCheck />}
      {folders.data.length === 0 && (
        <p className="mt-3 text-soft">
          {mayWrite(here)
            ? 'No folder yet. Make one; whatever is kept goes into one.'
            : 'No folder is open to you at the moment.'}
        </p>
      )}
      <ul className="mt-3 max-w-[46rem]">
        {inOrder(folders.data).map(({ folder, deep }) => (
          <li
            key={folder.id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-2"
            style={{ paddingLeft: `${deep * 1.25}rem` }}
          >
            <Link
              className="min-w-0 flex-1 font-serif text-[16px] font-medium"
              to={`/g/${here.id}/f/${folder.id}`}
            >
              {folder.name}
            </Link>
            {!here.me.onlyFolders && standing(folder) && (
              <span className="text-[13px] text-soft">{standing(folder)}</span>
            )}
            <span className="text-soft">{counted(folder.items, 'publication')}</span>
            {!here.me.onlyFolders && (
              <span className="w-32 text-right text-soft">
                {counted(folder.searches, 'search', 'searches')}
              </span>
            )}
          </li>
        ))}
      </ul>
      {mayWrite(here) && <NewFolder group={here.id} />}
      {mayWrite(here) && (
        <p className="mt-3">
          <Link className="act" to={`/g/${here.id}/bring`}>
            Bring in
          </Link>{' '}
          <span className="text-soft">references from files of other programs</span>
        </p>
      )}
      {mayWrite(here) && (
        <p className="mt-1">
          <Link className="act" to={`/g/${here.id}/drive`}>
            The drive
          </Link>{' '}
          <span className="text-soft">what of the group stands in its shared folder</span>
        </p>
      )}
      {!here.me.onlyFolders && (
        <p className="mt-1">
          <Link className="act" to={`/g/${here.id}/references`}>
            A list of references
          </Link>{' '}
          <span className="text-soft">which of a paper’s are here, and which are not</span>
        </p>
      )}
      {!here.me.onlyFolders && (
        <>
          <p className="mt-1">
            <Link className="act" to={`/g/${here.id}/notes`}>
              Margin notes
            </Link>{' '}
            <span className="text-soft">what was written at passages of texts</span>
          </p>
          <p className="mt-1">
            <Link className="act" to={`/g/${here.id}/bin`}>
              Bin
            </Link>{' '}
            <span className="text-soft">what ended or was taken out, for thirty days</span>
          </p>
        </>
      )}
    </div>
  );
}

type Folder = Schema['FolderLine'];

/** What sets it apart from the others; empty for a folder that everybody sees and changes. */
function standing({ pile, closed, may }: Folder): string {
  const mine = may === 'edit' ? '' : may === 'read' ? 'you read it' : 'you read and remark';
  return pile
    ? 'only you see it'
    : [closed ? 'for some of the group' : '', mine].filter(Boolean).join(' · ');
}

/** Each folder with those that lie in it behind it. */
function inOrder(all: Folder[], parent?: string, deep = 0): { folder: Folder; deep: number }[] {
  const known = new Set(all.map((folder) => folder.id));
  return all
    .filter((folder) => {
      const above = folder.parent && known.has(folder.parent) ? folder.parent : undefined;
      return above === parent;
    })
    .flatMap((folder) => [{ folder, deep }, ...inOrder(all, folder.id, deep + 1)]);
}

function NewFolder({ group }: { group: string }) {
  const [name, setName] = useState('');
  const add = useAddFolder(group);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // Whoever writes the next name already keeps its letters.
    add.mutate(name, { onSuccess: () => setName((now) => (now === name ? '' : now)) });
  };
  return (
    <form onSubmit={submit} className="mt-5 flex flex-wrap items-end gap-3">
      <label>
        <span className="small-head">New folder</span>
        <input
          required
          className="field block w-72"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button type="submit" className="act act-main mb-0.5" disabled={add.isPending}>
        Make it
      </button>
      {add.error && (
        <p role="alert" className="text-error">
          {add.error.message}
        </p>
      )}
    </form>
  );
}
