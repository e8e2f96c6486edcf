import { useEffect, useLayoutEffect, useRef } from 'react';

const A_STEP_AFTER = 2000;

/** Acts once something has stood for two seconds (rule O4); null stands for nothing. */
export function useStood(what: string | null, act: () => void): void {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (what === null) return;
    const timer = setTimeout(() => latest.current(), A_STEP_AFTER);
    return () => clearTimeout(timer);
  }, [what]);
}
