import type { Schema } from '../../api';
import { Act, counted, useKeys } from '../../ui';
import { useHere } from '../session';
import { useWaysOut } from './sheetApi';
import { lineText, type Line, type Strategy } from '../strategy';
import type { SheetState } from './useSheet';

const FEW = 10;

/** Too few or none: which line costs most, and what would help, each with its count. */
export function WaysOut({
  sheet,
  strategy,
  answer,
}: {
  sheet: SheetState;
  /** What the answer answers. */
  strategy: Strategy;
  answer: Schema['Answer'];
}) {
  const here = useHere();
  const few = answer.count < FEW;
  const ways = useWaysOut(here.id, strategy, few).data ?? [];
  const take = (way: Schema['WayOutShown'] | undefined) =>
    way && sheet.change(way.line.id, () => way.line);
  useKeys(few ? { w: () => take(ways[0]) } : {});
  if (!few) return null;
  const empty = answer.lines.filter((line) => line.alone === 0 && line.left != null);
  const costly = answer.lines.filter((line) => line.costsMost);
  const name = (id: string) => lineName(sheet.lines.find((line) => line.id === id));
  return (
    <section aria-label="What would help" className="border-b border-base-300 px-4 py-2 lg:px-6">
      <p>
        {answer.count === 0 ? 'Nothing is found.' : `Only ${counted(answer.count, 'publication')}.`}{' '}
        {empty.length > 0
          ? `${empty.map((line) => name(line.line)).join(' and ')} alone finds nothing.`
          : costly.length > 0 &&
            `${costly.map((line) => name(line.line)).join(' and ')} costs most.`}
      </p>
      <ul className="flex flex-wrap gap-x-6">
        {ways.map((way, at) => (
          <li key={JSON.stringify(way.line)}>
            <Act {...(at === 0 ? { hint: 'w' } : {})} onClick={() => take(way)}>
              {says(way, name(way.line.id))}
            </Act>{' '}
            <span className="text-soft">finds {way.count.toLocaleString('en-GB')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function lineName(line: Line | undefined): string {
  if (line?.kind === 'words') return `“${lineText(line)}”`;
  return line?.kind === 'limit' ? lineText(line) : 'the held strategy';
}

function says(way: Schema['WayOutShown'], line: string): string {
  switch (way.kind) {
    case 'off':
      return `Switch ${line} off`;
    case 'variants':
      return `Take in the variants of ${line}`;
    case 'spelling':
      return `Write ${way.text}`;
    case 'alternative':
      return `Or ${way.text}`;
    default:
      return `Take in what is unknown in ${line}`;
  }
}
