import type { MouseEvent } from 'react';

const PLACE = 'lantern.list';

/** What of a long list is remembered, before and behind the one that was opened. */
const AROUND = 5_000;

/** A list that a publication was opened from; `first`: the place of the first id in it, from 0. */
type List = { ids: string[]; first: number; all: number };

/**
 * To be put on a list of publications: whose page is opened from it knows its neighbours.
 *
 * @param onLeave told the place of what is opened, so that whoever comes back finds it chosen
 */
export function leaving(ids: readonly string[], onLeave?: (index: number) => void) {
  return {
    onClickCapture: (event: MouseEvent) => {
      const link = event.target instanceof Element && event.target.closest('a[href*="/p/"]');
      const id = link && /\/p\/([^/?#]+)/.exec(link.getAttribute('href') ?? '')?.[1];
      const at = id ? ids.indexOf(id) : -1;
      if (at < 0) return;
      const first = Math.max(0, at - AROUND);
      const list: List = { ids: ids.slice(first, at + AROUND), first, all: ids.length };
      sessionStorage.setItem(PLACE, JSON.stringify(list));
      onLeave?.(at);
    },
  };
}

/** Where a publication stands in the list that it, or one of its neighbours, was opened from. */
export type Neighbours = { at: number; all: number; former?: string; next?: string };

/** Undefined where it was not opened from a list. */
export function neighboursOf(id: string): Neighbours | undefined {
  const kept = sessionStorage.getItem(PLACE);
  const list = kept ? (JSON.parse(kept) as List) : undefined;
  const at = list ? list.ids.indexOf(id) : -1;
  if (!list || at < 0) return undefined;
  const former = list.ids[at - 1];
  const next = list.ids[at + 1];
  return {
    at: list.first + at,
    all: list.all,
    ...(former ? { former } : {}),
    ...(next ? { next } : {}),
  };
}
