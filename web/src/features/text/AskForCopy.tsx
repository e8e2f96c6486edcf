import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useAsk, useLender } from './api';

/** A copy request: what the library needs is filled in, only what it should know besides is asked. */
export function AskForCopy({
  leaf,
  ground,
  onClose,
}: {
  leaf: Schema['Leaf'];
  /** What is known of the way, with how long it usually takes. */
  ground: string;
  onClose: () => void;
}) {
  const here = useHere();
  const lender = useLender(here.id).data;
  const ask = useAsk(here.id);
  const [note, setNote] = useState('');
  const unknown = missing(leaf);
  return (
    <DialogForm
      title="Ask for a copy"
      wide
      act="Ask"
      disabled={ask.isPending}
      error={ask.error}
      onSubmit={() =>
        ask.mutate({ publication: leaf.publication.id, note }, { onSuccess: onClose })
      }
      onClose={onClose}
    >
      <p className="font-serif">{leaf.citation}</p>
      <p className="mt-2 text-soft">
        {lender?.address
          ? `It goes to ${lender.name || 'the lending library'} with all that is known of the work.`
          : 'Your group has no library that takes requests from here: it is noted, one of you carries it there and says here how it stands.'}
      </p>
      <p className="mt-1 text-soft">
        {ground}
        {lender?.cost && `; ${lender.cost}`}
      </p>
      {unknown.length > 0 && (
        <p className="mt-2 text-soft">Not known of it: {unknown.join(', ')}.</p>
      )}
      <label className="mt-3 block">
        What the library should know besides
        <textarea
          className="field mt-1 block w-full"
          rows={3}
          maxLength={1000}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
    </DialogForm>
  );
}

/** What a library usually wants to know and nobody has said. */
function missing(leaf: Schema['Leaf']): string[] {
  const { host, publication, doi } = leaf;
  const journal = publication.kind === 'article' || publication.kind === 'review';
  return [
    publication.authors.length === 0 && 'authors',
    !publication.year && 'year',
    journal && !host.volume && 'volume',
    journal && !host.firstPage && 'pages',
    !doi && 'DOI',
  ].filter((part): part is string => Boolean(part));
}
