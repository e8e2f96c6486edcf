import { useState } from 'react';
import type { Schema } from '../../api';
import { counted } from '../../ui';

const SHOWN = 100;
const COLUMNS = ['title', 'ISSN or ISBN', 'from', 'to', ''];

/** Titles of a holdings file, a line a stretch. */
export function HeldTitles({ titles }: { titles: Schema['TitleLine'][] }) {
  const [part, setPart] = useState('');
  const fitting = titles.filter((t) => t.title.toLowerCase().includes(part.trim().toLowerCase()));
  return (
    <>
      <label className="mt-4 block">
        <span className="sr-only">Part of a title</span>
        <input
          className="field w-80 max-w-full"
          placeholder="look for a title"
          value={part}
          onChange={(event) => setPart(event.target.value)}
        />
      </label>
      <div
        className="mt-2 max-w-[52rem] overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Titles held"
      >
        <table className="w-full">
          <thead>
            <tr className="text-left text-[13px] text-soft">
              {COLUMNS.map((column) => (
                <th key={column} scope="col" className="font-normal">
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {fitting.slice(0, SHOWN).map((title, n) => (
              <tr key={n} className="border-b border-base-300">
                <th scope="row" className="py-1 text-left font-serif font-normal">
                  {title.title}
                </th>
                <td>{title.numbers.join(', ')}</td>
                <td>{title.stretch.from ?? 'the first'}</td>
                <td>{title.stretch.to ?? 'the latest'}</td>
                <td className="text-soft">{besides(title)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {fitting.length > SHOWN && (
          <p className="mt-2 text-soft">
            {counted(fitting.length - SHOWN, 'stretch', 'stretches')} more; look for a title.
          </p>
        )}
      </div>
    </>
  );
}

/** What else is to be known: where it stands, what of it cannot be read, how many read at once. */
function besides({ stretch, readers, place }: Schema['TitleLine']): string {
  return [
    place,
    stretch.free ? 'free to all' : stretch.embargo,
    readers && `${counted(readers, 'reader')} at a time`,
  ]
    .filter(Boolean)
    .join('; ');
}
