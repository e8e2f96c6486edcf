import { useCallback, useState } from 'react';

function stored(place: string): ReadonlySet<string> {
  return new Set(JSON.parse(sessionStorage.getItem(place) ?? '[]') as string[]);
}

/**
 * What is ticked in this window. It outlives the list: a reload, Back and another search bring it
 * back where the publication is listed again.
 */
export function useTicks(group: string, what = 'ticks') {
  const place = `${what} of ${group}`;
  const [ticked, setTicked] = useState(() => stored(place));
  const change = useCallback(
    (to: (now: Set<string>) => void) =>
      setTicked((now) => {
        const next = new Set(now);
        to(next);
        sessionStorage.setItem(place, JSON.stringify([...next]));
        return next;
      }),
    [place],
  );
  const tick = useCallback(
    (id: string) => change((now) => void (now.delete(id) || now.add(id))),
    [change],
  );
  const untick = useCallback(
    (ids: Iterable<string>) => change((now) => [...ids].forEach((id) => now.delete(id))),
    [change],
  );
  return { ticked, tick, untick };
}
