import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, Failed, TwoPanes, useAddress, Waiting } from '../../ui';
import { Own, Title } from '../help';
import { useHere, useMe } from '../session';
import { useHeadings } from './api';
import { HeadingPane } from './HeadingPane';
import { HeadingTable } from './HeadingTable';
import { Parts } from './Parts';
import { VocabularyDialog } from './VocabularyDialog';

const FORMS = [
  { ending: 'ttl', name: 'Turtle' },
  { ending: 'rdf', name: 'RDF/XML' },
  { ending: 'jsonld', name: 'JSON-LD' },
];

/** Headings: looked up by everyday words, or gone through from the top; one of them beside. */
export function HeadingsPage() {
  const here = useHere();
  const address = useAddress();
  const { params } = address;
  const words = params.get('words') ?? '';
  const name = params.get('h');
  const headings = useHeadings(here.id, words);
  const steward = useMe().data?.steward === true;
  const [bringing, setBringing] = useState(false);
  const to = (label: string) => address.to('h', label);
  return (
    <TwoPanes
      label="Heading"
      open={name !== null}
      onBack={() => address.change('h', '', { replace: false })}
      leaf={
        name ? (
          <HeadingPane name={name} to={to} />
        ) : (
          <p className="text-soft">
            A <Own word="heading" /> stands for an idea, whatever words an author used for it. Look
            one up by the words you would use, or go down from the top.
          </p>
        )
      }
      list={
        <div className="page h-full overflow-y-auto">
          <title>Headings · Quiet Lantern</title>
          <Title help="headings" className="mb-2">
            Headings
          </Title>
          <Parts />
          <p className="mb-2 flex flex-wrap gap-x-5">
            <span>
              Download as SKOS:{' '}
              {FORMS.map(({ ending, name }) => (
                <a
                  key={ending}
                  className="act mr-2"
                  href={`/api/groups/${here.id}/vocabulary/skos.${ending}`}
                >
                  {name}
                </a>
              ))}
            </span>
            <span>
              The trees of what is studied:{' '}
              <a className="act" href={`/api/groups/${here.id}/vocabulary/trees.ttl`} download>
                Turtle
              </a>
            </span>
            {steward && <Act onClick={() => setBringing(true)}>Bring in headings</Act>}
          </p>
          {bringing && <VocabularyDialog onClose={() => setBringing(false)} />}
          <label className="block">
            <span className="sr-only">Everyday words</span>
            <input
              className="field w-96 max-w-full"
              placeholder="everyday words: moths, street lights …"
              value={words}
              onChange={(event) => address.change('words', event.target.value, { replace: true })}
            />
          </label>
          {headings.error ? (
            <Failed error={headings.error} />
          ) : !headings.data ? (
            <Waiting what="the headings" />
          ) : (
            <List lines={headings.data} words={words} current={name} to={to} />
          )}
        </div>
      }
    />
  );
}

function List({
  lines,
  words,
  current,
  to,
}: {
  lines: Schema['HeadingLine'][];
  words: string;
  current: string | null;
  to: (label: string) => string;
}) {
  if (lines.length === 0) {
    return (
      <p role="status" className="mt-3">
        No heading has a name with “{words}”. Fewer letters, or another word for it, may help.
      </p>
    );
  }
  return (
    <>
      <p role="status" className="sr-only">
        {lines.length} headings
      </p>
      <HeadingTable lines={lines} current={current} to={to} label="Headings found" />
    </>
  );
}
