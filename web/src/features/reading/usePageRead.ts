import { useEffect, type RefObject } from 'react';

/** Which page is read: the one that reaches over the upper third of what is seen. */
export function usePageRead(
  scroller: RefObject<HTMLElement | null>,
  setPage: (page: number) => void,
): void {
  useEffect(() => {
    const watched = scroller.current;
    if (!watched) return;
    let asked = 0;
    const look = () => {
      asked = 0;
      const line = watched.getBoundingClientRect().top + watched.clientHeight / 3;
      const pages = [...watched.querySelectorAll('[data-page]')];
      let low = 0;
      let high = pages.length - 1;
      while (low < high) {
        const middle = Math.ceil((low + high) / 2);
        if ((pages[middle]?.getBoundingClientRect().top ?? 0) <= line) low = middle;
        else high = middle - 1;
      }
      setPage(low);
    };
    const scrolled = () => {
      asked ||= requestAnimationFrame(look);
    };
    watched.addEventListener('scroll', scrolled, { passive: true });
    return () => {
      watched.removeEventListener('scroll', scrolled);
      cancelAnimationFrame(asked);
    };
  }, [scroller, setPage]);
}
