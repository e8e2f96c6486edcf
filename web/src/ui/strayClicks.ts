type Click = { target: Element; says: string };

/** What a click is meant for: the nearest thing that does something, as it reads. */
function meant(event: MouseEvent): Click | null {
  if (!(event.target instanceof Element)) return null;
  const target = event.target.closest('a, button, input, select, textarea, label, summary, [role]');
  return { target: target ?? event.target, says: target?.textContent ?? '' };
}

/**
 * The second click of a double click does nothing to what came under the pointer after the first:
 * the page answers sooner than a hand stops. Answers how to stop.
 */
export function holdStrayClicks(): () => void {
  let before: Click | null = null;
  const clicked = (event: MouseEvent) => {
    const click = meant(event);
    const isStray =
      event.detail > 1 &&
      before !== null &&
      (click?.target !== before.target || click.says !== before.says);
    before = click;
    if (!isStray) return;
    event.preventDefault();
    event.stopPropagation();
  };
  document.addEventListener('click', clicked, true);
  return () => document.removeEventListener('click', clicked, true);
}
