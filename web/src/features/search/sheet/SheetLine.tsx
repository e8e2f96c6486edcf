import { useState } from 'react';
import type { Schema } from '../../../api';
import { Act, Marked, type Span } from '../../../ui';
import { isBlank, type Line, type Strategy } from '../../strategy';
import type { SheetState } from '../useSheet';
import { HeldLine } from './HeldLine';
import { LimitLine } from './LimitLine';
import { LineDetails } from './LineDetails';
import { LineSays } from './LineSays';
import { Numbers } from './Numbers';
import { WordsLine } from './WordsLine';

type Notes = { wrong: Schema['Note'][]; worth: string[] };

/** One line: what it says, its counts, and while one is in it, what can be done with it. */
export function SheetLine({
  line,
  number,
  isLast,
  sheet,
  searched,
  counted,
  notes,
  most,
  current,
  onCurrent,
  onLimit,
  onFocus,
  onMove,
  onAdd,
}: {
  line: Line;
  number: number;
  isLast: boolean;
  sheet: SheetState;
  searched: Strategy;
  counted: Schema['LineCounted'] | undefined;
  notes: Notes;
  most: number;
  current: boolean;
  onCurrent: () => void;
  onLimit: (property: string) => void;
  onFocus: (by: number) => void;
  onMove: (by: number) => void;
  onAdd: () => void;
}) {
  const [details, setDetails] = useState(false);
  const strike = () => {
    onFocus(number > 1 ? -1 : 1);
    sheet.strike(line.id);
  };
  const keys = {
    up: () => onFocus(-1),
    down: () => onFocus(1),
    moveUp: () => onMove(-1),
    moveDown: () => onMove(1),
    strike,
    add: onAdd,
  };
  return (
    <li data-line={line.id} className="sheet-row items-start" onFocus={onCurrent}>
      <span className="pt-1 text-[12px] text-faint">{number}</span>
      <div className="min-w-0">
        <div className="flex flex-wrap items-baseline gap-x-3">
          {line.kind === 'words' && (
            <WordsLine
              line={line}
              number={number}
              first={number === 1}
              invalid={notes.wrong.length > 0}
              keys={keys}
              onType={(text) => sheet.type(line.id, text)}
            />
          )}
          {line.kind === 'limit' && <LimitLine line={line} keys={keys} onOpen={onLimit} />}
          {line.kind === 'held' && (
            <HeldLine
              line={line}
              keys={keys}
              onStrategies={(strategies) =>
                sheet.change(line.id, (held) => ({ ...held, strategies }))
              }
            />
          )}
          <LineSays line={line} counted={counted} sheet={sheet} />
        </div>
        {notes.wrong.length > 0 && (
          <p role="alert" className="text-[13px] text-error">
            {notes.wrong[0]?.sentence}
            {line.kind === 'words' && notes.wrong[0] && (
              <Where text={line.text ?? ''} span={notes.wrong[0].span} />
            )}
          </p>
        )}
        {notes.worth.length > 0 && (
          <p className="text-[13px] text-soft">{notes.worth.join(' · ')}</p>
        )}
        {current && !(isLast && isBlank(line)) && (
          <p className="flex flex-wrap gap-x-4 text-[13px]">
            <Act onClick={() => sheet.toggle(line.id)}>{line.off ? 'Switch on' : 'Switch off'}</Act>
            <Act onClick={strike}>Strike</Act>
            <Act disabled={number === 1} onClick={keys.moveUp}>
              Up
            </Act>
            <Act disabled={number >= sheet.lines.length - 1} onClick={keys.moveDown}>
              Down
            </Act>
            {line.kind === 'words' && (
              <Act aria-expanded={details} onClick={() => setDetails((open) => !open)}>
                {details ? 'Fewer details' : 'Details'}
              </Act>
            )}
          </p>
        )}
        {details && line.kind === 'words' && !isBlank(line) && (
          <LineDetails line={line} sheet={sheet} searched={searched} />
        )}
      </div>
      <Numbers counted={counted} off={line.off === true} most={most} />
    </li>
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
