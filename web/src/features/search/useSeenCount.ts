import { useState } from 'react';
import type { Strategy } from '../strategy';

/** A count that was shown. `typed`: the line that was being typed in, if that is how it came. */
type Seen = { lines: Strategy; count: number; typed: string | null; settled: boolean };

/**
 * The count that was shown for the lines before these, to compare with; none while there was none.
 * A count of the same lines that changed because records came in is no change of the member's; and
 * counts of half a word that come up while a line is typed are no counts to compare with: the one
 * from before the first letter stays, until the lines are settled.
 */
export function useSeenCount(
  lines: Strategy,
  count: number | undefined,
  settled: boolean,
): number | undefined {
  const [seen, setSeen] = useState<{ now: Seen | null; before: Seen | null }>({
    now: null,
    before: null,
  });
  const { now, before } = seen;
  const isSame = now !== null && JSON.stringify(now.lines) === JSON.stringify(lines);
  const stays = isSame && now.count === count && (now.settled || !settled);
  if (count !== undefined && !stays) {
    const typed = isSame ? now.typed : typedIn(now?.lines, lines);
    const goesOn = typed !== null && typed === now?.typed && !now.settled;
    setSeen({
      now: { lines, count, typed, settled: settled || (isSame && now.settled) },
      before: isSame || goesOn ? before : now,
    });
  }
  return before?.count;
}

/** The one line of words in which two searches differ, if it is one. */
function typedIn(one: Strategy | undefined, other: Strategy): string | null {
  const texts = new Map((one?.lines ?? []).map((line) => [line.id, JSON.stringify(line)]));
  const changed = other.lines.filter((line) => texts.get(line.id) !== JSON.stringify(line));
  const gone = [...texts.keys()].filter((id) => !other.lines.some((line) => line.id === id));
  const [only] = changed;
  return only?.kind === 'words' && changed.length === 1 && gone.length === 0 ? only.id : null;
}
