import { useLayoutEffect, useMemo, useRef } from 'react';

/** Places that were asked for, one after the other, and have not been shown yet. */
export type UnderWay<T> = {
  /** Where it leads in the end; where the page is, if nothing is under way. */
  now: () => T;
  isUnderWay: (place: T) => boolean;
  isSomething: () => boolean;
  /** Something was asked for; the page shows it later. */
  go: (place: T) => void;
  /** None of them will come. */
  forget: () => void;
};

/**
 * Knows at once where the page is going, before it shows it. Only acts and what the page shows in
 * the end change this, never a drawing of the page: those are begun, thrown away for a letter that
 * was typed meanwhile, and begun again.
 *
 * @param shown where the page is
 * @param named changes too when the page comes to a place that it was at already
 */
export function useUnderWay<T>(shown: T, named: unknown = null): UnderWay<T> {
  const known = useRef({ shown, ahead: [] as T[] });
  useLayoutEffect(() => {
    // The page comes to what was asked for one by one; what it comes to otherwise is the truth.
    const { ahead } = known.current;
    const came = ahead.indexOf(shown);
    known.current = { shown, ahead: came < 0 ? [] : ahead.slice(came + 1) };
  }, [shown, named]);
  return useMemo(
    () => ({
      now: () => {
        const { shown: at, ahead } = known.current;
        return ahead.length > 0 ? (ahead[ahead.length - 1] as T) : at;
      },
      isUnderWay: (place) => known.current.ahead.includes(place),
      isSomething: () => known.current.ahead.length > 0,
      go: (place) => known.current.ahead.push(place),
      forget: () => {
        known.current.ahead = [];
      },
    }),
    [],
  );
}
