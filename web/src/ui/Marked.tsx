import { Fragment } from 'react';

export type Span = { start: number; end: number };

/** Text with parts of it lit. Spans are sorted and do not overlap. */
export function Marked({ text, spans }: { text: string; spans: readonly Span[] }) {
  const ends = [0, ...spans.map((span) => span.end)];
  return (
    <>
      {spans.map((span, i) => (
        <Fragment key={span.start}>
          {text.slice(ends[i], span.start)}
          <mark>{text.slice(span.start, span.end)}</mark>
        </Fragment>
      ))}
      {text.slice(ends[ends.length - 1])}
    </>
  );
}
