import { useEffect, useRef, useState, type ClipboardEvent } from 'react';
import { Link } from 'react-router';
import { citesWords, Marked, type Span } from '../../ui';
import { useHeadings } from '../catalogue';
import { useHere } from '../session';
import { quoted, SheetLinks } from '../strategy';

const LONGEST = 80;

/** The abstract; words that are selected in it can be looked up and searched for. */
export function Abstract({
  text,
  lit,
  citation,
}: {
  text: string;
  lit: readonly Span[];
  /** What words that are copied out of it carry on their last line. */
  citation: string;
}) {
  const paragraph = useRef<HTMLParagraphElement>(null);
  const [chosen, setChosen] = useState('');
  useEffect(() => {
    const look = () => setChosen(selectedIn(paragraph.current));
    document.addEventListener('selectionchange', look);
    return () => document.removeEventListener('selectionchange', look);
  }, []);
  const copied = (event: ClipboardEvent) => {
    const words = document.getSelection()?.toString().trim() ?? '';
    if (!citesWords() || words === '') return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', `${words}\n\n${citation}`);
  };
  return (
    <>
      <p
        ref={paragraph}
        className="mt-2 max-w-[75ch] font-serif text-[15px] leading-normal"
        onCopy={copied}
      >
        <Marked text={text} spans={lit} />
      </p>
      {chosen && <LookUp words={chosen} />}
    </>
  );
}

/** What is selected in an element, if the selection lies in it whole and is short. */
function selectedIn(element: Element | null): string {
  const selection = document.getSelection();
  const inside =
    element &&
    selection &&
    element.contains(selection.anchorNode) &&
    element.contains(selection.focusNode);
  const words = inside ? selection.toString().replace(/\s+/g, ' ').trim() : '';
  return words.length <= LONGEST ? words : '';
}

const SHOWN = 4;

function LookUp({ words }: { words: string }) {
  const here = useHere();
  const headings = useHeadings(here.id, words).data ?? [];
  return (
    <section
      aria-label="Selected words"
      className="mt-1 max-w-[75ch] bg-base-100 px-2 py-1"
      // The selection stays while one presses what is offered for it.
      onMouseDown={(event) => event.preventDefault()}
    >
      <p className="flex flex-wrap gap-x-4">
        <span className="font-serif">“{words}”</span>
        <SheetLinks group={here.id} line={quoted(words)} />
      </p>
      <p className="flex flex-wrap gap-x-4">
        <span className="text-soft">
          {headings.length > 0 ? 'Headings for it:' : 'No heading has a name with it.'}
        </span>
        {headings.slice(0, SHOWN).map((heading) => (
          <Link
            key={heading.label}
            className="act"
            to={`/g/${here.id}/catalogue/headings?h=${encodeURIComponent(heading.label)}`}
          >
            {heading.label} {heading.withNarrower.toLocaleString('en-GB')}
          </Link>
        ))}
      </p>
    </section>
  );
}
