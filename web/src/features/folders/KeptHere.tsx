import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { useHere } from '../session';
import { useFolderChanges } from './changes';

/** Who kept it, when, from which search and why, below its line. */
export function WhoKept({ item }: { item: Schema['FolderItem'] | undefined }) {
  if (!item || item.reasons.length === 0) return null;
  return (
    <ul className="text-[13px]">
      {item.reasons.map((reason) => (
        <li key={reason.at + reason.who} className="line-clamp-2">
          <From reason={reason} />
          {reason.text && <span className="text-soft">: “{reason.text}”</span>}
        </li>
      ))}
    </ul>
  );
}

function From({ reason }: { reason: Schema['ReasonGiven'] }) {
  const here = useHere();
  return (
    <>
      {reason.who}, {shortDay(reason.at)}
      {reason.q && (
        <>
          , from{' '}
          {here.me.onlyFolders ? (
            `“${reason.search}”`
          ) : (
            <Link className="act" to={`/g/${here.id}/q/${reason.q}`}>
              “{reason.search}”
            </Link>
          )}
        </>
      )}
    </>
  );
}

/** The same on the leaf, where whoever wrote a note writes it anew. */
export function KeptHere({
  folder,
  item,
}: {
  folder: Schema['FolderView'];
  item: Schema['FolderItem'];
}) {
  return (
    <section aria-label="Kept here" className="mt-3">
      <h3 className="small-head">Kept in {folder.name}</h3>
      <ul>
        {item.reasons.map((reason) => (
          <Reason
            key={reason.at + reason.who}
            folder={folder.id}
            changes={folder.may === 'edit'}
            publication={item.publication.id}
            reason={reason}
          />
        ))}
      </ul>
    </section>
  );
}

function Reason({
  folder,
  changes,
  publication,
  reason,
}: {
  folder: string;
  changes: boolean;
  publication: string;
  reason: Schema['ReasonGiven'];
}) {
  const here = useHere();
  const { note } = useFolderChanges(here.id, folder);
  const [text, setText] = useState<string | null>(null);
  if (text === null) {
    return (
      <li>
        <From reason={reason} />
        {reason.text && <span className="text-soft">: “{reason.text}”</span>}{' '}
        {reason.mine && changes && (
          <Act onClick={() => setText(reason.text)}>
            {reason.text ? 'Write it anew' : 'Say why'}
          </Act>
        )}
      </li>
    );
  }
  return (
    <li>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          note.mutate({ publication, was: reason.text, text }, { onSuccess: () => setText(null) });
        }}
      >
        <label className="block">
          <span className="small-head">Why it is kept</span>
          <textarea
            autoFocus
            className="field block w-full"
            rows={3}
            maxLength={4000}
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setText(null);
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                event.currentTarget.form?.requestSubmit();
              }
            }}
          />
        </label>
        {note.error && (
          <p role="alert" className="text-error">
            {note.error.message}
          </p>
        )}
        <p className="flex gap-x-4">
          <Act type="submit" main disabled={note.isPending}>
            Note it
          </Act>
          <Act onClick={() => setText(null)}>Change nothing</Act>
        </p>
      </form>
    </li>
  );
}
