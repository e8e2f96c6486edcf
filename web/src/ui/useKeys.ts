import { useEffect, useLayoutEffect, useRef } from 'react';
import { keysAreOn } from './settings';

export type KeyMap = Record<string, () => void>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches('input:not([type=checkbox], [type=radio]), textarea, select') ||
      target.isContentEditable)
  );
}

/**
 * Single keys, while nothing is typed and no dialog is open. They can be switched off (WCAG 2.1.4);
 * arrows and others that are not characters stay.
 */
export function useKeys(map: KeyMap): void {
  const latest = useRef(map);
  // Before anybody can see what was just shown, so that a key never means what was shown before.
  useLayoutEffect(() => {
    latest.current = map;
  });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (isTyping(event.target) || document.querySelector('dialog[open]')) return;
      if (event.key.length === 1 && !keysAreOn()) return;
      const act = latest.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
}
