import { useState } from 'react';
import { Act, counted } from '../../../ui';
import { useHere } from '../../session';
import { useBreakdown, useProperties } from '../breakdownApi';
import { limitOf, propertyName, type Line, type Strategy } from '../../strategy';
import type { SheetState } from '../useSheet';
import { written } from '../suggested';
import { Ends } from './Ends';
import { TimeBars } from './TimeBars';
import { ValueBars } from './ValueBars';

const MOST = { times: 1000, values: 60, all: 1000 };

/** How the result divides over a property, as bars to pick or drag across. */
export function Strip({
  sheet,
  strategy,
  property,
  onProperty,
  onClose,
}: {
  sheet: SheetState;
  /** The last that could be searched: what is divided. */
  strategy: Strategy;
  property: string;
  onProperty: (property: string) => void;
  onClose: () => void;
}) {
  const here = useHere();
  const all = useProperties(here.id).data ?? [];
  const known = all.find((each) => each.property === property);
  const [part, setPart] = useState('');
  const [whole, setWhole] = useState(false);
  const [months, setMonths] = useState(false);
  const [out, setOut] = useState(false);
  const ranged = known?.shape === 'range';
  const breakdown = useBreakdown(here.id, strategy, {
    property,
    most: ranged ? MOST.times : whole ? MOST.all : MOST.values,
    ...(part ? { part } : {}),
    ...(months ? { months } : {}),
  });
  const line = limitOf(sheet.lines, property);
  const data = breakdown.data?.property === property ? breakdown.data : undefined;
  const choose = (value: string) =>
    known?.limits
      ? sheet.limit(toggled(property, line, value, out))
      : sheet.add([{ kind: 'words', text: (out ? 'not ' : '') + written({ property, value }) }]);
  return (
    <section
      aria-label="Breakdown"
      className="max-h-[42vh] overflow-y-auto border-b border-base-300 px-4 py-2 lg:px-6"
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <select
          aria-label="Divide by"
          autoFocus
          className="min-h-[24px] cursor-pointer bg-base-100 font-semibold"
          value={property}
          onChange={(event) => {
            onProperty(event.target.value);
            setPart('');
            setOut(false);
            setWhole(false);
            setMonths(false);
          }}
        >
          {all.map((each) => (
            <option key={each.property} value={each.property}>
              {propertyName(each.property)}
            </option>
          ))}
        </select>
        <span className="text-[13px] text-soft">{known?.meaning}</span>
        {data && (
          <span className="text-[13px] text-soft">{sums(data, known?.limits ?? false)}</span>
        )}
        <span className="ml-auto">
          <Act onClick={onClose}>Fold away</Act>
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-4 text-[13px]">
        {ranged && (
          <Ends key={JSON.stringify(line)} property={property} line={line} onLimit={sheet.limit} />
        )}
        {property === 'date' && (
          <Act aria-pressed={months} onClick={() => setMonths((now) => !now)}>
            {months ? 'by year' : 'by month'}
          </Act>
        )}
        {!ranged && (
          <Act aria-pressed={out} onClick={() => setOut((now) => !now)}>
            {out ? 'picking rules out: pick instead' : 'rule out instead'}
          </Act>
        )}
        {known?.overlaps && known.limits && (line?.chosen?.length ?? 0) > 1 && (
          <Act
            aria-pressed={line?.all === true}
            onClick={() => sheet.limit({ ...line, property, all: line?.all ? null : true })}
          >
            {line?.all ? 'all of them: on' : 'all of them instead of any'}
          </Act>
        )}
        {!ranged && ((data?.values ?? 0) > MOST.values || part) && (
          <label>
            <span className="sr-only">Part of a value</span>
            <input
              className="field min-h-[26px]! py-0!"
              placeholder="look for a value"
              value={part}
              onChange={(event) => setPart(event.target.value)}
            />
          </label>
        )}
        {line && <Act onClick={() => sheet.strike(line.id)}>Strike this limit</Act>}
      </div>
      {!data && <p className="py-3 text-soft">…</p>}
      {data && ranged && (
        <TimeBars data={data} line={line} property={property} onLimit={sheet.limit} />
      )}
      {data && !ranged && (
        <ValueBars data={data} line={line} pressable={known?.limits ?? false} onChoose={choose} />
      )}
      {data && ranged && data.values > data.bars.length && (
        <p className="text-[13px]">
          The {data.values - data.bars.length} bars before these are not drawn; both ends can be
          typed.
        </p>
      )}
      {data && !ranged && data.values > data.bars.length && (
        <Act onClick={() => setWhole(true)}>
          {counted(data.values - data.bars.length, 'value')} more
        </Act>
      )}
    </section>
  );
}

function sums(data: { base: number; adds: boolean }, limits: boolean): string {
  const over = `over ${counted(data.base, 'publication')}`;
  const own = limits ? ' without this limit' : '';
  return data.adds ? over + own : `${over}${own}; one may count under several`;
}

/** The limit with a value picked, or not picked any more. */
function toggled(property: string, line: Line | undefined, value: string, out: boolean) {
  const chosen = new Set(line?.chosen ?? []);
  const ruledOut = new Set(line?.ruledOut ?? []);
  const into = out ? ruledOut : chosen;
  const other = out ? chosen : ruledOut;
  other.delete(value);
  if (!into.delete(value)) into.add(value);
  return {
    property,
    ...(chosen.size > 0 ? { chosen: [...chosen] } : {}),
    ...(line?.all && chosen.size > 1 ? { all: true } : {}),
    ...(ruledOut.size > 0 ? { ruledOut: [...ruledOut] } : {}),
  };
}
