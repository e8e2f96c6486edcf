import { useDeferredValue, useMemo } from 'react';
import { find, pattern, type Found } from './find';
import { words } from './fold';
import { rangesOf } from './shown';
import { shownOn, type Target, type Viewing } from './viewing';

const NONE: string[] = [];

/** Every place where something stands in a text, and what of it is drawn. */
export function useFinding(pages: string[] | undefined, typed: string, viewing: Viewing) {
  const looked = useDeferredValue(typed);
  const all = pages ?? NONE;
  const folded = useMemo(() => all.map(words), [all]);
  const wanted = useMemo(() => pattern(looked), [looked]);
  const places = useMemo(() => (wanted ? find(all, folded, wanted) : []), [all, folded, wanted]);
  const { pages: drawn } = viewing;
  const ranges = useMemo(
    () => (wanted ? [...drawn.values()].flatMap((root) => rangesOf(shownOn(root), wanted)) : []),
    [wanted, drawn],
  );
  return { places, ranges, wanted };
}

/** Where a place is on its page; of the same words the last one there is, if the file says fewer. */
export function target(place: Found, wanted: RegExp): Target {
  return {
    page: place.page,
    range: (shown) => {
      const same = rangesOf(shown, wanted);
      return same[Math.min(place.nth, same.length - 1)] ?? null;
    },
  };
}
