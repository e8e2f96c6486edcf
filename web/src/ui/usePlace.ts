import { useRef } from 'react';

/** Where a list is, known before the page shows it: for keys that follow each other at once. */
export type Place = {
  /** The row that is meant now, though the page may still show one before it. */
  now: () => number;
  /** Whether somebody came to that row by an act of their own. */
  isMeant: () => boolean;
  go: (index: number) => void;
  step: (by: number) => void;
};

/**
 * @param chosen the row that the page shows as chosen
 * @param choose asks the page to show another
 * @param named what the page names as chosen; null where it shows a row that nobody chose
 */
export function usePlace(
  chosen: number,
  count: number,
  choose: (index: number) => void,
  named: string | null = '',
): Place {
  const asked = useRef({ shown: chosen, named, underWay: [] as number[] });
  const underWay = () => {
    const before = asked.current;
    if (chosen !== before.shown || named !== before.named) {
      // The page comes to what was asked for one by one; what it comes to otherwise is the truth.
      const came = before.underWay.indexOf(chosen);
      asked.current = {
        shown: chosen,
        named,
        underWay: came < 0 ? [] : before.underWay.slice(came + 1),
      };
    }
    return asked.current.underWay;
  };
  const now = () => underWay().at(-1) ?? chosen;
  const isMeant = () => underWay().length > 0 || named !== null;
  const go = (index: number) => {
    if (index !== now() || !isMeant()) underWay().push(index);
    choose(index);
  };
  return { now, isMeant, go, step: (by) => go(Math.min(count - 1, Math.max(0, now() + by))) };
}
