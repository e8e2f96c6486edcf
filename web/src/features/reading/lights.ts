import { useEffect } from 'react';

/** Lights ranges of the page without changing it (CSS Custom Highlight API). */
export function useLights(name: string, ranges: Range[]): void {
  useEffect(() => {
    if (typeof Highlight === 'undefined') return;
    if (ranges.length > 0) CSS.highlights.set(name, new Highlight(...ranges));
    return () => void CSS.highlights.delete(name);
  }, [name, ranges]);
}
