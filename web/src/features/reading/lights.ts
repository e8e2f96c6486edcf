import { useLayoutEffect } from 'react';

/** What lies over what where a place is found inside a passage that somebody noted. */
const OVER = { noted: 0, found: 1, 'found-here': 2 };

/**
 * Lights ranges of the page without changing it (CSS Custom Highlight API), in the same moment as
 * what is told of them is drawn.
 */
export function useLights(name: keyof typeof OVER, ranges: Range[]): void {
  useLayoutEffect(() => {
    if (typeof Highlight === 'undefined') return;
    if (ranges.length > 0) {
      const light = new Highlight(...ranges);
      light.priority = OVER[name];
      CSS.highlights.set(name, light);
    }
    return () => void CSS.highlights.delete(name);
  }, [name, ranges]);
}
