/** Whether letters pressed there become text. */
export function takesText(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches('input:not([type=checkbox], [type=radio]), textarea, select') ||
      target.isContentEditable)
  );
}

const JUST_NOW = 500;

let lastTyped = -Infinity;

/** Notes letters as they become text, wherever that is. */
export function noteTyping(event: KeyboardEvent): void {
  if (event.key.length === 1 && takesText(event.target)) lastTyped = performance.now();
}

/** Whether a letter became text less than half a second ago: a key may still be meant as one. */
export function typedJustNow(): boolean {
  return performance.now() - lastTyped < JUST_NOW;
}
