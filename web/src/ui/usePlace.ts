import { useUnderWay } from './useUnderWay';

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
  const underWay = useUnderWay(chosen, named);
  const { now } = underWay;
  const isMeant = () => underWay.isSomething() || named !== null;
  const go = (index: number) => {
    if (index !== now() || !isMeant()) underWay.go(index);
    choose(index);
  };
  return { now, isMeant, go, step: (by) => go(Math.min(count - 1, Math.max(0, now() + by))) };
}
