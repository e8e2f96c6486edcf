import { useEffect, useRef, useState, type ReactNode } from 'react';

/** A word behind which more unfolds; it folds again by Escape, by a click or a step elsewhere. */
export function Menu({
  name,
  look,
  children,
}: {
  name: string;
  /** How the word looks. */
  look: string;
  /** `close` folds it again. */
  children: (close: () => void) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const all = useRef<HTMLDivElement>(null);
  const close = () => setOpen(false);
  useEffect(() => {
    if (!open) return;
    const elsewhere = (event: Event) => {
      if (!all.current?.contains(event.target as Node)) setOpen(false);
    };
    document.addEventListener('pointerdown', elsewhere);
    document.addEventListener('focusin', elsewhere);
    return () => {
      document.removeEventListener('pointerdown', elsewhere);
      document.removeEventListener('focusin', elsewhere);
    };
  }, [open]);
  return (
    <div
      ref={all}
      className="relative"
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !open) return;
        event.stopPropagation();
        setOpen(false);
        all.current?.querySelector('button')?.focus();
      }}
    >
      <button type="button" aria-expanded={open} className={look} onClick={() => setOpen(!open)}>
        {name}
      </button>
      {open && (
        <div className="absolute right-0 z-20 mt-2 flex w-56 flex-col items-start gap-2 rounded-box border border-rule-strong bg-base-100 p-4">
          {children(close)}
        </div>
      )}
    </div>
  );
}
