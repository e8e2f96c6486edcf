import { useId, useState, type KeyboardEvent, type ReactNode } from 'react';
import { WORDS, type Word } from './words';

const WIDE = 290;

/** A word of our own that explains itself on the spot. */
export function Own({ word, children }: { word: Word; children?: ReactNode }) {
  const id = useId();
  const [at, setAt] = useState<{ left: number; top: number } | null>(null);
  const toggle = (button: HTMLElement) => {
    const { left, bottom } = button.getBoundingClientRect();
    setAt(
      at
        ? null
        : { left: Math.max(8, Math.min(left, window.innerWidth - WIDE - 8)), top: bottom + 4 },
    );
  };
  const close = (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || !at) return;
    event.stopPropagation();
    setAt(null);
  };
  return (
    <span onKeyDown={close} onBlur={() => setAt(null)}>
      <button
        type="button"
        className="own"
        aria-expanded={at !== null}
        {...(at ? { 'aria-describedby': id } : {})}
        onClick={(event) => toggle(event.currentTarget)}
      >
        {children ?? word}
      </button>
      {at && (
        <span id={id} role="note" className="own-says" style={{ ...at, width: WIDE }}>
          {WORDS[word]}
        </span>
      )}
    </span>
  );
}
