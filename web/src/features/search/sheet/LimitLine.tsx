import type { KeyboardEvent } from 'react';
import { useSourceNames } from '../../catalogue';
import { useHere } from '../../session';
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
  const names = useSourceNames(useHere().id);
  const property = line.property ?? '';
  return (
    <button
      type="button"
      data-main
      className={`line-text cursor-pointer text-left ${line.off ? 'text-faint line-through' : ''}`}
      onClick={() => onOpen(property)}
      onKeyDown={lineKeys(keys)}
    >
      {lineText(line, names)}
    </button>
  );
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
