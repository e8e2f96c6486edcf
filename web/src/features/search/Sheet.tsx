import { useRef, type FormEvent } from 'react';
import type { Problem, Schema } from '../../api';
import { counted, Marked, useKeys, type Span } from '../../ui';

type Note = Schema['Note'];

/** The place where a search is written. One line so far. */
export function Sheet({
  text,
  onText,
  problem,
  notes,
  onSettle,
}: {
  text: string;
  onText: (text: string) => void;
  problem: Problem | null;
  notes: Schema['Answer'] | undefined;
  onSettle: () => void;
}) {
  const line = useRef<HTMLInputElement>(null);
  useKeys({ '/': () => line.current?.focus() });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() !== '') onSettle();
  };
  const place = problem?.type === 'search-problem' ? (problem.details.problems as Note[])[0] : null;
  return (
    <section
      aria-label="Sheet"
      className="border-b border-base-300 bg-base-200 px-4 py-2.5 lg:px-6"
    >
      <form onSubmit={submit} role="search">
        <input
          ref={line}
          autoFocus={text === ''}
          aria-label="Search line"
          aria-describedby="line-says"
          aria-invalid={problem !== null}
          autoComplete="off"
          spellCheck={false}
          placeholder="words, “phrases”, and, or, not, cut*, title: …"
          className="w-full border-b border-rule-strong bg-transparent py-1 font-serif text-[17px] outline-offset-0! placeholder:text-faint placeholder:italic"
          value={text}
          onChange={(event) => onText(event.target.value)}
        />
      </form>
      <div id="line-says" className="min-h-[20px] pt-1 text-[13px]">
        {problem && (
          <p role="alert" className="text-error">
            {problem.message}
            {place && <Where text={text} span={place.span} />}
          </p>
        )}
        {!problem && notes && <Notes answer={notes} />}
      </div>
    </section>
  );
}

/** The line again with the place in it, for those who do not count columns. */
function Where({ text, span }: { text: string; span: Span }) {
  const from = Math.max(0, span.start - 20);
  const near = text.slice(from, span.end + 20);
  const shifted = { start: span.start - from, end: Math.min(span.end - from, near.length) };
  return (
    <span className="ml-3 font-serif text-base-content">
      {from > 0 && '…'}
      <Marked text={near} spans={shifted.end > shifted.start ? [shifted] : []} />
    </span>
  );
}

function Notes({ answer }: { answer: Schema['Answer'] }) {
  const said = [
    ...answer.covers.map((cut) => `${cut.typed} covers ${counted(cut.words, 'word')}`),
    ...answer.notes.map((note) => note.sentence),
  ];
  return said.length === 0 ? null : <p className="text-soft">{said.join(' · ')}</p>;
}
