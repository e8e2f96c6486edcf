import { useRef } from 'react';

/** Where a list is, known before the page shows it: for keys that follow each other at once. */
export type Place = {
  /** The row that is meant now, though the page may still show one before it. */
  now: () => number;
  go: (index: number) => void;
  step: (by: number) => void;
};

/**
 * @param chosen the row that the page shows as chosen
 * @param choose asks the page to show another
 */
export function usePlace(chosen: number, count: number, choose: (index: number) => void): Place {
  const asked = useRef({ shown: chosen, underWay: [] as number[] });
  const now = () => {
    const { shown, underWay } = asked.current;
    if (chosen !== shown) {
      // The page comes to what was asked for one by one; what it comes to otherwise is the truth.
      const came = underWay.indexOf(chosen);
      asked.current = { shown: chosen, underWay: came < 0 ? [] : underWay.slice(came + 1) };
    }
    return asked.current.underWay.at(-1) ?? chosen;
  };
  const go = (index: number) => {
    if (index !== now()) asked.current.underWay.push(index);
    choose(index);
  };
  return { now, go, step: (by) => go(Math.min(count - 1, Math.max(0, now() + by))) };
}
