import type { Schema } from '../../../api';
import { Act, counted as inWords, listed } from '../../../ui';
import { UNKNOWN, type Line } from '../../strategy';
import type { SheetState } from '../useSheet';
import { WIDENED } from './widened';

const OFFER: Record<string, string> = {
  spelling: 'did you mean',
  capitals: 'in capitals only',
  heading: 'the heading',
};

/** What is worth saying of a line right behind it. */
export function LineSays({
  line,
  counted,
  sheet,
}: {
  line: Line;
  counted: Schema['LineCounted'] | undefined;
  sheet: SheetState;
}) {
  if (!counted) return null;
  const forms = counted.forms.filter((met) => met.forms.length > 1);
  const takeIn = () =>
    sheet.change(line.id, (limit) => ({ ...limit, chosen: [...(limit.chosen ?? []), UNKNOWN] }));
  const unknown = counted.unknown ?? 0;
  return (
    <span className="flex min-w-0 flex-wrap items-baseline gap-x-3 text-[13px] text-soft">
      {forms.length > 0 && (
        <span className="truncate">{forms.map((met) => met.forms.join(', ')).join(' · ')}</span>
      )}
      {line.widened && line.widened.length > 0 && (
        <span>with {listed(line.widened.map((by) => WIDENED[by] ?? by))}</span>
      )}
      {counted.says && <span>{counted.says}</span>}
      {counted.inactive && <span>{counted.inactive}</span>}
      {unknown > 0 && !line.all && (
        <span>
          leaves out {inWords(unknown, 'publication')} where it is unknown{' '}
          <Act onClick={takeIn}>take in</Act>
        </span>
      )}
      {counted.offers.map((offer) => (
        <Act
          key={offer.kind + offer.text}
          onClick={() => sheet.change(line.id, (words) => ({ ...words, text: offer.line }))}
        >
          {OFFER[offer.kind]} {shownText(offer)} {offer.count.toLocaleString('en-GB')}
        </Act>
      ))}
    </span>
  );
}

function shownText({ kind, text }: { kind: string; text: string }): string {
  if (kind === 'heading') return /"(.*)"/.exec(text)?.[1] ?? text;
  return kind === 'spelling' ? text : '';
}
