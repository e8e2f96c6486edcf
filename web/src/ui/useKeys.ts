import { useLayoutEffect, useRef } from 'react';
import { keysAreOn } from './settings';
import { noteTyping, takesText } from './typing';

export type KeyMap = Record<string, () => void>;

const inUse = new Set<{ current: KeyMap }>();

/** Whether the page that is shown does something with a key. */
export function isKeyHere(key: string): boolean {
  return [...inUse].some((map) => key in map.current);
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
  useLayoutEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      noteTyping(event);
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (takesText(event.target) || document.querySelector('dialog[open]')) return;
      if (event.key.length === 1 && !keysAreOn()) return;
      const act = latest.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    inUse.add(latest);
    window.addEventListener('keydown', pressed);
    return () => {
      inUse.delete(latest);
      window.removeEventListener('keydown', pressed);
    };
  }, []);
}
