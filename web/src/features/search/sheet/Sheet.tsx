import { useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import type { Problem, Schema } from '../../../api';
import { Act, counted, useKeys } from '../../../ui';
import { isBlank, shortText, strategyOf, type Line, type Strategy } from '../../strategy';
import { Own } from '../../help';
import type { SheetState } from '../useSheet';
import { SheetLine } from './SheetLine';

type Note = Schema['Note'];

/** The place where a strategy is written: a short stack of lines, each with its counts. */
export function Sheet({
  sheet,
  answer,
  problem,
  searched,
  onSettle,
  onLimit,
  acts,
}: {
  sheet: SheetState;
  answer: Schema['Answer'] | undefined;
  problem: Problem | null;
  /** The last strategy that had an answer. */
  searched: Strategy;
  onSettle: () => void;
  onLimit: (property: string) => void;
  acts: ReactNode;
}) {
  const place = useRef<HTMLElement>(null);
  const [current, setCurrent] = useState<string | null>(null);
  const { lines } = sheet;
  const asked = lines.filter((line) => !isBlank(line));
  const [folded, setFolded] = useState(() => isNarrow() && asked.length > 0);
  // At once, for the next key may follow before the next frame.
  const focus = (id: string | undefined) =>
    place.current?.querySelector<HTMLElement>(`[data-line="${id}"] [data-main]`)?.focus();
  // The last line that is shown by then, whatever it was when the key was pressed.
  const toLast = () => {
    flushSync(() => setFolded(false));
    [...(place.current?.querySelectorAll<HTMLElement>('[data-main]') ?? [])].at(-1)?.focus();
  };
  // What has the focus keeps it, though its place on the page changes.
  const move = (id: string, by: number) => {
    const focused = document.activeElement;
    flushSync(() => sheet.move(id, by));
    if (focused instanceof HTMLElement && !focused.matches(':disabled')) focused.focus();
    else focus(id);
  };
  useKeys({ '/': toLast, u: sheet.undo, U: sheet.redo });
  const problems = problem?.type === 'search-problem' ? (problem.details.problems as Note[]) : [];
  if (folded) {
    return (
      <section ref={place} aria-label="Sheet" className="sheet flex items-baseline gap-4 py-2">
        <button type="button" className="act min-w-0" onClick={() => setFolded(false)}>
          <span className="truncate font-serif">{shortText(strategyOf(lines)) || 'empty'}</span>
        </button>
        <span className="text-soft">{counted(asked.length, 'line')}</span>
        <Act onClick={() => setFolded(false)}>Unfold</Act>
      </section>
    );
  }
  return (
    <section ref={place} aria-label="Sheet" className="sheet">
      <div className="flex flex-wrap items-baseline gap-x-4 pt-1 text-[13px]">
        {acts}
        <Act hint="u" disabled={!sheet.mayUndo} onClick={sheet.undo}>
          Undo
        </Act>
        <Act hint="U" disabled={!sheet.mayRedo} onClick={sheet.redo}>
          Redo
        </Act>
        {asked.length > 0 && <Act onClick={() => setFolded(true)}>Fold</Act>}
      </div>
      <form
        role="search"
        onSubmit={(event) => {
          event.preventDefault();
          onSettle();
          if (isNarrow()) setFolded(asked.length > 0);
        }}
      >
        <div className="sheet-row min-h-0! text-right text-[12px] text-soft max-lg:hidden">
          <span />
          <span />
          <Own word="alone" />
          <Own word="left after it" />
          <Own word="without it" />
        </div>
        <ol>
          {lines.map((line, at) => (
            <SheetLine
              key={line.id}
              line={line}
              number={at + 1}
              isLast={at === lines.length - 1}
              sheet={sheet}
              searched={searched}
              counted={answer?.lines.find((each) => each.line === line.id)}
              notes={notesOf(line, answer, problems)}
              most={most(answer)}
              current={current === line.id}
              onCurrent={() => setCurrent(line.id)}
              onLimit={onLimit}
              onFocus={(by) => focus(lines[at + by]?.id)}
              onMove={(by) => move(line.id, by)}
              onAdd={() => focus(flushSync(() => sheet.insertAfter(line.id)))}
            />
          ))}
        </ol>
        <button type="submit" className="sr-only">
          Search
        </button>
      </form>
    </section>
  );
}

/** Where the list needs the room. */
function isNarrow(): boolean {
  return window.matchMedia('(max-width: 1023px)').matches;
}

/** What is wrong with a line comes before what is worth knowing. */
function notesOf(line: Line, answer: Schema['Answer'] | undefined, problems: Note[]) {
  const wrong = problems.filter((problem) => problem.line === line.id);
  if (wrong.length > 0) return { wrong, worth: [] };
  const covers = (answer?.covers ?? [])
    .filter((cover) => cover.line === line.id)
    .map((cover) => `${cover.typed} covers ${counted(cover.words, 'word')}`);
  const said = (answer?.notes ?? [])
    .filter((note) => note.line === line.id)
    .map((note) => note.sentence);
  return { wrong, worth: [...covers, ...said] };
}

/** The longest bar stands for the most that any line leaves. */
function most(answer: Schema['Answer'] | undefined): number {
  return Math.max(1, ...(answer?.lines ?? []).map((line) => line.left ?? 0));
}
