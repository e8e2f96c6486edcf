import { useCallback, useMemo, useRef, useState, type RefObject } from 'react';
import { shownIn, type Shown } from './shown';

/** Something in the text: its page, and on a page that is drawn its range. */
export interface Target {
  page: number;
  range: (shown: Shown) => Range | null;
}

/** What of a text is drawn now, and the way to a place that may not be drawn yet. */
export interface Viewing {
  /** Pages that are drawn, by their number from 0. */
  pages: ReadonlyMap<number, HTMLElement>;
  drawn: (page: number, root: HTMLElement | null) => void;
  goTo: (target: Target) => void;
  /** The page that is read now. */
  page: number;
  setPage: (page: number) => void;
}

/** How far below the upper edge a place comes to stand. */
const EYE = 0.3;

const read = new WeakMap<HTMLElement, Shown>();

/** What is written on a page that is drawn; read once for each time it is drawn. */
export function shownOn(root: HTMLElement): Shown {
  const known = read.get(root) ?? shownIn(root);
  read.set(root, known);
  return known;
}

export function useViewing(scroller: RefObject<HTMLElement | null>): Viewing {
  const [pages, setPages] = useState<ReadonlyMap<number, HTMLElement>>(new Map());
  const roots = useRef(new Map<number, HTMLElement>());
  const wanted = useRef<Target | null>(null);
  const [page, setPage] = useState(0);

  const arrive = useCallback(() => {
    const target = wanted.current;
    const root = target && roots.current.get(target.page);
    if (!target || !root) return;
    wanted.current = null;
    const range = target.range(shownOn(root));
    if (range && scroller.current) bringIntoView(scroller.current, range);
  }, [scroller]);

  const drawn = useCallback(
    (which: number, root: HTMLElement | null) => {
      const before = roots.current.get(which);
      if (before) read.delete(before);
      if (root) roots.current.set(which, root);
      else roots.current.delete(which);
      setPages(new Map(roots.current));
      arrive();
    },
    [arrive],
  );

  const goTo = useCallback(
    (target: Target) => {
      wanted.current = target;
      const frame = scroller.current?.querySelector(`[data-page="${target.page}"]`);
      const root = roots.current.get(target.page);
      // A page of which nothing is meant, or that is not drawn yet, is gone to as a whole.
      if (!root || !target.range(shownOn(root))) frame?.scrollIntoView({ block: 'start' });
      arrive();
    },
    [arrive, scroller],
  );

  return useMemo(
    () => ({ pages, drawn, goTo, page, setPage }),
    [pages, drawn, goTo, page, setPage],
  );
}

function bringIntoView(scroller: HTMLElement, range: Range) {
  const at = range.getBoundingClientRect();
  const frame = scroller.getBoundingClientRect();
  scroller.scrollTop += at.top - frame.top - frame.height * EYE;
}
