import { useState } from 'react';
import type { Schema } from '../../api';
import type { Said } from '../publication';
import { afterSaid, type Entry } from './occasions';

/**
 * A list that changes while one goes through it: what has left it stays where it was, as it was
 * left, until the page is opened anew, so that nothing moves below a hand.
 *
 * @param listed what the server lists now
 */
export function useSteady(
  listed: readonly Schema['ArrivalListed'][],
  me: string,
): {
  entries: readonly Entry[];
  isGone: (entry: Entry) => boolean;
  said: (entry: Entry, said: Said) => void;
} {
  const [shown, setShown] = useState<readonly Entry[]>([]);
  const [mine, setMine] = useState<ReadonlyMap<string, Said>>(new Map());
  const there = new Map(listed.map((one) => [keyOf(one), one]));
  const known = new Set(shown.map(keyOf));
  const entries = [
    ...shown.map(
      (one) =>
        there.get(keyOf(one)) ?? {
          ...one,
          arrival: afterSaid(one.arrival, mine.get(keyOf(one)), me),
        },
    ),
    ...[...there.values()].filter((one) => !known.has(keyOf(one))),
  ].map(({ arrival, round }) => ({ arrival, ...(round && { round }) }));
  if (entries.length !== shown.length) setShown(entries);
  return {
    entries,
    isGone: (entry) => !there.has(keyOf(entry)),
    said: (entry, said) => setMine((before) => new Map(before).set(keyOf(entry), said)),
  };
}

function keyOf({ arrival, round }: { arrival: { id: string }; round?: { id: string } | null }) {
  return `${arrival.id} ${round?.id ?? ''}`;
}
