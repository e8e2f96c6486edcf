import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, useKeys } from '../../ui';
import { OneBeforeLeaving } from './BeforeLeaving';
import { CiteDialog } from './CiteDialog';
import { CitedEntry } from './Cited';
import { copiedOf, useCopyCited } from './useCopyCited';

/** A work as the group cites it, to be copied, and the way to other styles. */
export function CitationHere({ leaf }: { leaf: Schema['Leaf'] }) {
  const [asked, setAsked] = useState(false);
  const copy = useCopyCited();
  const { cited } = leaf;
  const copyIt = () => copy('the citation', copiedOf(leaf));
  useKeys({ c: copyIt });
  return (
    <section aria-label="Citation" className="mt-3 max-w-[75ch]">
      <h3 className="small-head">
        Citation <span className="font-normal text-soft">in {cited.style.title}</span>
      </h3>
      {cited.entries.map((entry) => (
        <CitedEntry key={entry.publication} parts={entry.parts} layout={cited.layout} />
      ))}
      {cited.entries.length === 0 && (
        <p className="text-soft">The style has notes alone, and no bibliography.</p>
      )}
      <p className="flex flex-wrap gap-x-4">
        <Act hint="c" onClick={copyIt}>
          Copy it
        </Act>
        <Act onClick={() => setAsked(true)}>In a text, or in another style</Act>
      </p>
      <OneBeforeLeaving publication={leaf.publication.id} />
      {asked && <CiteDialog publications={[leaf.publication.id]} onClose={() => setAsked(false)} />}
    </section>
  );
}
