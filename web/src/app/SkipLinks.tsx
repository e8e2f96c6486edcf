import type { MouseEvent } from 'react';

/** From the first stop of the keyboard to what a place is for, without the frame in between. */
export function SkipLinks() {
  return (
    <div className="absolute -top-20 left-2 z-20 flex gap-2 focus-within:top-1">
      <a href="#main" className="act act-main" onClick={toList}>
        To the list
      </a>
      <a href="#main" className="act act-main" onClick={toContent}>
        To the content
      </a>
    </div>
  );
}

/** The address stays as it is: it names what is looked at. */
function toContent(event: MouseEvent) {
  event.preventDefault();
  document.getElementById('main')?.focus();
}

function toList(event: MouseEvent) {
  event.preventDefault();
  const list =
    document.querySelector('#main [data-list]') ??
    document.querySelector('#main ol, #main ul:not([role]), #main table');
  const row =
    list?.querySelector<HTMLElement>('[aria-current="true"] a') ??
    list?.querySelector<HTMLElement>('a, button');
  (row ?? document.getElementById('main'))?.focus();
}
