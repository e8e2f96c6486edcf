import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useText, useTexts } from './textsApi';

/** Figures and tables of the text that the group has, each a way to its place. */
export function Figures({ publication }: { publication: string }) {
  const here = useHere();
  const copy = useTexts(here.id, publication).data?.copies[0];
  const [wanted, setWanted] = useState(false);
  if (!copy) return null;
  return (
    <section aria-label="Figures and tables">
      {wanted ? (
        <Listed copy={copy} publication={publication} />
      ) : (
        <p className="mt-3">
          <Act onClick={() => setWanted(true)}>Figures and tables of the text</Act>
        </p>
      )}
    </section>
  );
}

function Listed({ copy, publication }: { copy: Schema['CopyShown']; publication: string }) {
  const here = useHere();
  const text = useText(here.id, copy.id);
  if (text.error) return <Failed error={text.error} />;
  if (!text.data) return <Waiting what="the figures" />;
  const plates = text.data.parts
    .map((part, n) => ({ part, n }))
    .filter(({ part }) => part.kind !== 'section');
  const { labels } = text.data;
  return (
    <>
      <h3 className="small-head mt-3">Figures and tables</h3>
      {plates.length === 0 && <p className="text-soft">The file names none.</p>}
      <ul>
        {plates.map(({ part, n }) => (
          <li key={n} className="py-0.5">
            <Link
              className="hover:underline"
              to={`/g/${here.id}/p/${publication}/text?in=${copy.id}&part=${n}`}
            >
              {part.title}
            </Link>
            {labels.length > 1 && <span className="text-soft"> p. {labels[part.page]}</span>}
          </li>
        ))}
      </ul>
    </>
  );
}
