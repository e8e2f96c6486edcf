/** Where the focus was last, from the element outwards. */
let trail: Element[] = [];

function outwards(element: Element): Element[] {
  const all: Element[] = [];
  for (let at: Element | null = element; at; at = at.parentElement) all.push(at);
  return all;
}

/** What can take the focus in a place; the place itself if nothing in it can. */
function takes(place: Element): HTMLElement | null {
  if (!(place instanceof HTMLElement)) return null;
  if (place.matches('[tabindex], a[href], button:enabled, input:enabled, select, textarea')) {
    return place;
  }
  return null;
}

/** Gives the focus to what is left of the place where it was, else to the page's content. */
function mend(): void {
  const active = document.activeElement;
  if ((active && active !== document.body) || trail.length === 0) return;
  // A dialog that is open keeps the focus itself.
  if (document.querySelector('dialog[open]')) return;
  if (trail[0]?.isConnected && takes(trail[0]) && !trail[0].matches(':disabled')) return;
  const place = trail.find((each) => each.isConnected && takes(each));
  const home = (place && takes(place)) ?? document.getElementById('main');
  home?.focus({ preventScroll: true });
}

/**
 * The focus never falls to nothing (WCAG 2.4.3): when what had it goes away or is switched off, the
 * nearest place around it takes it. Answers how to stop.
 */
export function keepFocus(): () => void {
  const entered = (event: FocusEvent) => {
    if (event.target instanceof Element) trail = outwards(event.target);
  };
  const watcher = new MutationObserver(() => {
    if (document.activeElement === document.body) mend();
  });
  document.addEventListener('focusin', entered);
  watcher.observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  });
  return () => {
    document.removeEventListener('focusin', entered);
    watcher.disconnect();
  };
}
