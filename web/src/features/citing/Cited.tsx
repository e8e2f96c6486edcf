import type { CSSProperties } from 'react';
import type { Schema } from '../../api';

type Part = Schema['CitedPart'];

const LOOKS: Record<string, CSSProperties> = {
  italic: { fontStyle: 'italic' },
  bold: { fontWeight: 600 },
  'small-caps': { fontVariant: 'small-caps' },
  underlined: { textDecoration: 'underline' },
  superscript: { verticalAlign: 'super', fontSize: '0.75em', lineHeight: 0 },
  subscript: { verticalAlign: 'sub', fontSize: '0.75em', lineHeight: 0 },
};

/** Words of a citation, with their looks. */
export function CitedWords({ parts }: { parts: readonly Part[] }) {
  return (
    <>
      {parts.map((part, at) => (
        <Runs key={at} runs={part.runs} />
      ))}
    </>
  );
}

function Runs({ runs }: { runs: Part['runs'] }) {
  return (
    <>
      {runs.map((run, at) => (
        <span key={at} style={Object.assign({}, ...run.looks.map((look) => LOOKS[look]))}>
          {run.text}
        </span>
      ))}
    </>
  );
}

/** An entry of a bibliography as its style sets it: lines that hang, a number in the margin. */
export function CitedEntry({
  parts,
  layout,
}: {
  parts: readonly Part[];
  layout: Schema['EntryLayout'];
}) {
  if (parts.length === 0) {
    return <p className="text-soft">The style prints nothing of this work.</p>;
  }
  const number = parts.find((part) => part.display === 'left-margin');
  const rest = parts.filter((part) => part !== number);
  const hangs = !number && layout.hangingIndent;
  const words = (
    <div className={hangs ? 'pl-[1.9em] indent-[-1.9em]' : ''}>
      {rest.map((part, at) => (
        <span
          key={at}
          className={
            part.display === 'indent' ? 'block pl-6' : part.display === 'block' ? 'block' : ''
          }
        >
          <Runs runs={part.runs} />
        </span>
      ))}
    </div>
  );
  return (
    <div className="font-serif text-[15px] leading-[1.45] [overflow-wrap:anywhere]">
      {number ? (
        <div className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-2">
          <span className="tabular-nums">
            <Runs runs={number.runs} />
          </span>
          {words}
        </div>
      ) : (
        words
      )}
    </div>
  );
}
