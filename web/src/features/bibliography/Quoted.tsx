import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import type { useChapterActs } from './chaptersApi';

/** Works that are quoted through the one of an entry; whoever writes may name another. */
export function Quoted({
  entry,
  edits,
  acts,
}: {
  entry: Schema['EntryOfFolder'];
  edits: boolean;
  acts: ReturnType<typeof useChapterActs>;
}) {
  const { publication, quoted } = entry;
  const [naming, setNaming] = useState(false);
  if (quoted.length === 0 && !edits) return null;
  return (
    <section aria-label="Quoted through it">
      {quoted.length > 0 && <h3 className="small-head mt-3">Quoted through it</h3>}
      <ul>
        {quoted.map((one) => (
          <li key={one.id}>
            <span className="font-serif">{one.described}</span>{' '}
            <span className={one.read ? 'text-success' : 'font-semibold text-warning'}>
              {one.read ? 'read' : 'not read'}
            </span>{' '}
            <span className="text-[13px] text-soft">
              {one.doi && `doi:${one.doi} · `}
              {one.by}
            </span>{' '}
            {edits && (
              <Act
                aria-label={`${one.described} is not quoted through it`}
                onClick={() => acts.unquote.mutate({ publication, quoted: one.id })}
              >
                Take away
              </Act>
            )}
          </li>
        ))}
      </ul>
      {edits && !naming && (
        <p>
          <Act onClick={() => setNaming(true)}>It quotes another work…</Act>
        </p>
      )}
      {naming && (
        <QuotedForm
          pending={acts.quote.isPending}
          error={acts.quote.error}
          onName={(named) =>
            acts.quote.mutate({ publication, ...named }, { onSuccess: () => setNaming(false) })
          }
          onLeave={() => setNaming(false)}
        />
      )}
    </section>
  );
}

/** Names a work that nobody has read. */
function QuotedForm({
  pending,
  error,
  onName,
  onLeave,
}: {
  pending: boolean;
  error: Error | null;
  onName: (named: Schema['QuotedWanted']) => void;
  onLeave: () => void;
}) {
  const [described, setDescribed] = useState('');
  const [doi, setDoi] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (described.trim()) onName({ described, doi: doi.trim() });
  };
  return (
    <form onSubmit={submit} className="mt-1 grid gap-y-1">
      <label>
        <span className="small-head">The work that it quotes, which was not read</span>
        <input
          autoFocus
          className="field block w-full"
          maxLength={600}
          value={described}
          onChange={(event) => setDescribed(event.target.value)}
        />
      </label>
      <label>
        <span className="small-head">Its DOI, if it has one</span>
        <input
          className="field block w-full"
          maxLength={300}
          value={doi}
          onChange={(event) => setDoi(event.target.value)}
        />
      </label>
      {error && (
        <p role="alert" className="text-error">
          {error.message}
        </p>
      )}
      <p className="flex gap-x-4">
        <button type="submit" className="act act-main" disabled={pending || !described.trim()}>
          Name both
        </button>
        <Act onClick={onLeave}>Leave it</Act>
      </p>
    </form>
  );
}
