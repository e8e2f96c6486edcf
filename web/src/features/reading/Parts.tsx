import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, useCopyText } from '../../ui';
import { KeepDialog } from '../keeping';
import { mayWrite, useHere } from '../session';
import { beginning, chapterOf, cited, meant, type Chapter } from './chapters';

/** What the text consists of: chapters and sections, with figures and tables where they stand. */
export function Parts({
  leaf,
  parts,
  labels,
  page,
  onGo,
}: {
  leaf: Schema['Leaf'];
  parts: Schema['PartShown'][];
  labels: string[];
  /** The page that is read now. */
  page: number;
  onGo: (part: Schema['PartShown']) => void;
}) {
  const paged = labels.length > 1;
  // In a text of one piece nobody knows what is read but by where one went.
  const [gone, setGone] = useState(-1);
  const onPage = parts.findIndex((part) => part.page === page);
  const before = parts.findLastIndex((part) => part.page < page);
  const now = paged ? Math.max(onPage, before) : gone;
  const current = beginning(parts, now);
  const chapter = chapterOf(leaf.publication.kind, parts, current, labels);
  if (parts.length === 0) return <p className="text-soft">The file names no parts.</p>;
  return (
    <ul>
      {parts.map((part, n) => (
        <li key={n} style={{ paddingLeft: indent(part) }}>
          <button
            type="button"
            aria-current={n === now ? 'location' : undefined}
            className={`min-h-[24px] w-full py-0.5 text-left text-[13px] leading-snug hover:underline ${
              n === now ? 'font-semibold' : 'text-soft'
            }`}
            onClick={() => {
              setGone(n);
              onGo(part);
            }}
          >
            {part.title}
            {paged && <span className="text-faint"> {labels[part.page]}</span>}
          </button>
          {chapter && n === current && <OfChapter leaf={leaf} chapter={chapter} />}
        </li>
      ))}
    </ul>
  );
}

/** What can be done with the chapter that is read. */
function OfChapter({ leaf, chapter }: { leaf: Schema['Leaf']; chapter: Chapter }) {
  const here = useHere();
  const copy = useCopyText();
  const [keeping, setKeeping] = useState(false);
  return (
    <span className="flex gap-x-3 text-[13px]">
      <Act onClick={() => copy(cited(chapter, leaf.citation), 'the citation of the chapter')}>
        Cite chapter
      </Act>
      {mayWrite(here) && <Act onClick={() => setKeeping(true)}>Keep chapter</Act>}
      {keeping && (
        <KeepDialog
          group={here.id}
          publications={[leaf.publication.id]}
          why={meant(chapter)}
          onClose={() => setKeeping(false)}
        />
      )}
    </span>
  );
}

function indent({ kind, level }: Schema['PartShown']): string {
  return `${(kind === 'section' ? level - 1 : 1) * 12}px`;
}
