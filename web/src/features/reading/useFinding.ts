import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useAddress } from '../../ui';
import { find, pattern, type Found } from './find';
import { words } from './fold';
import { rangesOf } from './shown';
import { shownOn, type Target, type Viewing } from './viewing';

const NONE: string[] = [];

/** What is looked for in a text and where it stands. */
export interface Finding {
  typed: string;
  type: (words: string) => void;
  places: Found[];
  /** Those of them that are drawn. */
  ranges: Range[];
  wanted: RegExp | null;
  /** Whether the words of the text are here to be looked through. */
  isReady: boolean;
  /** The place that is looked at; -1 before any. */
  at: number;
  step: (to: number) => void;
  /** To the next place, or the former; round at the ends. */
  turn: (by: number) => void;
}

/** The words that are looked for stand in the address, as far as they are typed. */
export function usePlaces(pages: string[] | undefined, viewing: Viewing): Finding {
  const address = useAddress();
  const [typed, setTyped] = useState(address.params.get('find') ?? '');
  const [at, setAt] = useState(-1);
  const looked = useDeferredValue(typed);
  const all = pages ?? NONE;
  const folded = useMemo(() => all.map(words), [all]);
  // Where nothing is typed the list goes at once, and the lights with it.
  const sought = typed.trim() ? looked : '';
  const wanted = useMemo(() => pattern(sought), [sought]);
  const places = useMemo(() => (wanted ? find(all, folded, wanted) : []), [all, folded, wanted]);
  const { pages: drawn } = viewing;
  const ranges = useMemo(
    () => (wanted ? [...drawn.values()].flatMap((root) => rangesOf(shownOn(root), wanted)) : []),
    [wanted, drawn],
  );
  // Known before the page shows it: for keys that follow each other at once.
  const now = useRef(-1);
  const step = (to: number) => {
    const place = places[to];
    if (!place || !wanted) return;
    now.current = to;
    setAt(to);
    viewing.goTo(target(place, wanted));
  };
  const go = (by: number) => {
    if (places.length === 0) return;
    const from = now.current < 0 && by < 0 ? 0 : now.current;
    step((from + by + places.length) % places.length);
  };
  // Whoever types and presses Enter at once is not kept waiting, and loses neither.
  const isLooked = pages !== undefined && looked === typed;
  const wished = useRef(0);
  useEffect(() => {
    if (!isLooked) return;
    const by = wished.current;
    wished.current = 0;
    if (by !== 0) go(by);
  });
  return {
    typed,
    type: (next) => {
      setTyped(next);
      now.current = -1;
      setAt(-1);
      address.change('find', next.trim() && next, { replace: true });
    },
    places,
    ranges,
    wanted,
    isReady: pages !== undefined,
    at,
    step,
    turn: (by) => {
      if (isLooked) go(by);
      else wished.current += by;
    },
  };
}

/** Where a place is on its page; of the same words the last one there is, if the file says fewer. */
function target(place: Found, wanted: RegExp): Target {
  return {
    page: place.page,
    range: (shown) => {
      const same = rangesOf(shown, wanted);
      return same[Math.min(place.nth, same.length - 1)] ?? null;
    },
  };
}

/** The range of the place that is looked at, once its page is drawn. */
export function useHereRange({ places, at, wanted }: Finding, { pages }: Viewing): Range[] {
  const place = places[at];
  const root = place && pages.get(place.page);
  return useMemo(() => {
    const range = root && place && wanted ? target(place, wanted).range(shownOn(root)) : null;
    return range ? [range] : [];
  }, [place, wanted, root]);
}
