import type { Schema } from '../../../api';
import { Act } from '../../../ui';
import { useHere } from '../../session';
import { useLineHelp } from '../sheetApi';
import type { Line, Strategy } from '../../strategy';
import type { SheetState } from '../useSheet';
import { WIDENED } from './widened';

const OFFERED: Record<string, string> = {
  variant: 'another spelling or form',
  abbreviation: 'short and long form',
  name: 'another name of the same heading',
  spelling: 'in place of it',
  capitals: 'in capitals only',
  heading: 'the heading of this name, in place of it',
};

/** On demand: where a line is met, what it could have besides, and what widening it would bring. */
export function LineDetails({
  line,
  sheet,
  searched,
}: {
  line: Line;
  sheet: SheetState;
  /** The last strategy that had an answer. */
  searched: Strategy;
}) {
  const here = useHere();
  const isThere = searched.lines.some((each) => each.id === line.id);
  const help = useLineHelp(here.id, searched, isThere ? line.id : null).data;
  if (!help) return <p className="text-[13px] text-soft">…</p>;
  const text = (next: string) => sheet.change(line.id, (words) => ({ ...words, text: next }));
  return (
    <dl className="my-1 grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1 text-[13px]">
      <dt className="text-soft">found in</dt>
      <dd className="flex flex-wrap items-baseline gap-x-4">
        {help.places.map(({ field, count }) => (
          <Act key={field} disabled={count === 0} onClick={() => text(inField(line, field))}>
            {field} {count.toLocaleString('en-GB')}
          </Act>
        ))}
        <span className="text-faint">text: comes when texts are read</span>
      </dd>
      {help.offers.length > 0 && <dt className="text-soft">besides</dt>}
      {help.offers.length > 0 && (
        <dd className="flex flex-wrap items-baseline gap-x-4">
          {help.offers.map((offer) => (
            <Act
              key={offer.kind + offer.text}
              title={OFFERED[offer.kind]}
              onClick={() => text(offer.line)}
            >
              {offer.inPlace ? '' : 'or '}
              <span className="font-serif text-[14.5px]">{offer.text}</span>{' '}
              {offer.count.toLocaleString('en-GB')}
            </Act>
          ))}
        </dd>
      )}
      <dt className="text-soft">widen by</dt>
      <dd className="flex flex-wrap items-baseline gap-x-4">
        {help.gains.map((gain) => (
          <Widen key={gain.widening} gain={gain} line={line} sheet={sheet} />
        ))}
      </dd>
    </dl>
  );
}

/** A line of which everything is searched in one field. */
function inField(line: Line, field: string): string {
  const text = (line.text ?? '').trim();
  const not = /^not\s+/i.exec(text)?.[0] ?? '';
  return `${not}${field}: (${text.slice(not.length)})`;
}

function Widen({
  gain,
  line,
  sheet,
}: {
  gain: Schema['GainShown'];
  line: Line;
  sheet: SheetState;
}) {
  const name = WIDENED[gain.widening] ?? gain.widening;
  if (!gain.works) return <span className="text-faint">{name}: not yet</span>;
  const widen = (words: Line): Line => {
    const { widened, ...rest } = words;
    return gain.on ? rest : { ...rest, widened: [...(widened ?? []), gain.widening] };
  };
  const all = () =>
    sheet.replace(sheet.lines.map((each) => (each.kind === 'words' ? widen(each) : each)));
  return (
    <span className="flex flex-wrap items-baseline gap-x-3">
      <Act aria-pressed={gain.on} onClick={() => sheet.change(line.id, widen)}>
        {name}
        {gain.on ? ': on' : ` +${gain.line.toLocaleString('en-GB')}`}
      </Act>
      {!gain.on && (
        <span className="text-soft">to the result +{gain.result.toLocaleString('en-GB')}</span>
      )}
      <Act onClick={all}>{gain.on ? 'off for all lines' : 'for all lines'}</Act>
    </span>
  );
}
