import { useLayoutEffect, useRef } from 'react';

/**
 * Moves a choice by steps. A key that follows before the page shows the step before counts from
 * where that one led to.
 */
export function useStepping(
  chosen: number,
  count: number,
  choose: (index: number) => void,
): (by: number) => void {
  const at = useRef(chosen);
  useLayoutEffect(() => {
    at.current = chosen;
  }, [chosen]);
  return (by) => {
    at.current = Math.min(count - 1, Math.max(0, at.current + by));
    choose(at.current);
  };
}
