import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { WatchLine } from '../alerts';
import { useHere } from '../session';
import { headingText, quoted, SheetLinks } from '../strategy';

/** The headings and keywords of a publication: each can begin a search or go into one. */
export function Words({ leaf }: { leaf: Schema['Leaf'] }) {
  return (
    <>
      <Set
        title="Headings"
        words={leaf.headings.map(({ label, central }) => ({
          name: label,
          shown: central ? `${label} (central)` : label,
          line: headingText(label),
          isHeading: true,
        }))}
      />
      <Set
        title="Author keywords"
        words={leaf.keywords.map((keyword) => ({
          name: keyword,
          shown: keyword,
          line: `keyword: ${quoted(keyword)}`,
          isHeading: false,
        }))}
      />
    </>
  );
}

type Word = { name: string; shown: string; line: string; isHeading: boolean };

function Set({ title, words }: { title: string; words: Word[] }) {
  const here = useHere();
  const [open, setOpen] = useState<Word | null>(null);
  if (words.length === 0) return null;
  return (
    <>
      <h3 className="small-head mt-3">{title}</h3>
      <ul className="flex flex-wrap gap-x-4 gap-y-0.5">
        {words.map((word) => (
          <li key={word.name}>
            <button
              type="button"
              className="act"
              aria-expanded={open?.name === word.name}
              onClick={() => setOpen((now) => (now?.name === word.name ? null : word))}
            >
              {word.shown}
            </button>
          </li>
        ))}
      </ul>
      {open && (
        <div className="mt-1 flex flex-wrap gap-x-4 bg-base-100 px-2 py-1">
          <span className="font-serif">{open.line}</span>
          <SheetLinks group={here.id} line={open.line} />
          <WatchLine name={`About ${open.name}`} line={open.line} />
          {open.isHeading && (
            <Link
              className="act"
              to={`/g/${here.id}/catalogue/headings?h=${encodeURIComponent(open.name)}`}
            >
              What it means
            </Link>
          )}
        </div>
      )}
    </>
  );
}
