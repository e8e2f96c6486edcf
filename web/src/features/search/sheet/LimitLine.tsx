import type { KeyboardEvent } from 'react';
import type { Schema } from '../../../api';
import { useSourceNames } from '../../catalogue';
import { useHere } from '../../session';
import { useProperties } from '../breakdownApi';
import { useLimitSets } from '../sheetApi';
import { lineText, type Line } from '../../strategy';
import type { LineKeys } from './WordsLine';

/** A limit, in words. Pressing it opens its bars. */
export function LimitLine({
  line,
  keys,
  onOpen,
}: {
  line: Line;
  keys: LineKeys;
  onOpen: (property: string) => void;
}) {
  const here = useHere();
  const names = useSourceNames(here.id);
  const set = setOf(line, useLimitSets(here.id).data ?? []);
  const property = line.property ?? '';
  const meaning = useProperties(here.id).data?.find((each) => each.property === property)?.meaning;
  return (
    <button
      type="button"
      data-main
      className={`line-text cursor-pointer text-left ${line.off ? 'text-faint line-through' : ''}`}
      onClick={() => onOpen(property)}
      onKeyDown={lineKeys(keys)}
    >
      <span>{lineText(line, names)}</span>
      <span className="ml-3 font-sans text-[13px] text-soft no-underline">{meaning}</span>
      {set && (
        <span className="ml-3 font-sans text-[13px] text-soft">
          from the group’s “{set.name}”, kept by {set.by}
        </span>
      )}
    </button>
  );
}

/** The group's set that has this very limit, if there is one. */
function setOf(line: Line, sets: Schema['LimitSet'][]): Schema['LimitSet'] | undefined {
  return sets.find((set) => set.limits.some((limit) => sameLimit(limit, line)));
}

function sameLimit(one: Line, other: Line): boolean {
  const parts = (line: Line) =>
    JSON.stringify([
      line.property,
      line.from ?? null,
      line.to ?? null,
      line.last ?? null,
      line.chosen ?? [],
      line.all ?? false,
      line.ruledOut ?? [],
    ]);
  return parts(one) === parts(other);
}

/** The keys of a line that is not typed into. */
export function lineKeys(keys: LineKeys) {
  return (event: KeyboardEvent) => {
    const act = {
      ArrowUp: event.altKey ? keys.moveUp : keys.up,
      ArrowDown: event.altKey ? keys.moveDown : keys.down,
      Delete: keys.strike,
      Backspace: keys.strike,
    }[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
}
