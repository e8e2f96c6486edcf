import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useAsk } from './api';
import { useOffers } from './lendersApi';

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
  const offers = useOffers(here.id, leaf.publication.id).data ?? [];
  const [wanted, setWanted] = useState<string | null>(null);
  const lender = offers.find((offer) => offer.name === wanted) ?? offers[0];
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
        ask.mutate(
          {
            publication: leaf.publication.id,
            note,
            ...(wanted === null ? {} : { lender: wanted }),
          },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <p className="font-serif">{leaf.citation}</p>
      <p className="mt-2 text-soft">
        {!lender || lender.byHand
          ? `It is noted; one of you carries it to ${lender?.name || 'a library'} and says here how it stands.`
          : `It goes to ${lender.name || 'the lending library'} with all that is known of the work.`}
      </p>
      {offers.length > 1 ? (
        <fieldset className="mt-1">
          <legend className="sr-only">Which library</legend>
          {offers.map((offer) => (
            <label key={offer.name} className="block">
              <input
                type="radio"
                name="lender"
                checked={offer === lender}
                onChange={() => setWanted(offer.name)}
              />{' '}
              {offer.name || 'the lending library'}
              <span className="text-soft">{besides(offer)}</span>
            </label>
          ))}
        </fieldset>
      ) : (
        <p className="mt-1 text-soft">
          {ground}
          {lender?.cost && `; ${lender.cost}`}
        </p>
      )}
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

function besides({ usual, cost, inVain }: Schema['LenderOffer']): string {
  return [usual, cost, inVain && 'asked before, no copy came']
    .filter(Boolean)
    .map((word) => ` · ${String(word)}`)
    .join('');
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
