import { useEffect, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { Act } from './Act';
import { Dialog } from './Dialog';

/** Milliseconds within which a second press is the same act: a double click, before it is disabled. */
const AT_ONCE = 400;

/** Whether the end of a form lies below what can be seen of it; `end` is put there. */
function useMoreBelow() {
  const end = useRef<HTMLDivElement>(null);
  const [more, setMore] = useState(false);
  useEffect(() => {
    // What is behind the foot is not seen.
    const seen = new IntersectionObserver(([last]) => setMore(!last?.isIntersecting), {
      root: end.current?.closest('dialog') ?? null,
      rootMargin: '0px 0px -56px 0px',
    });
    if (end.current) seen.observe(end.current);
    return () => seen.disconnect();
  }, []);
  return { end, more };
}

/** A dialog with one thing to do: what went wrong stands above the button, beside it the way out without it. */
export function DialogForm({
  title,
  wide = false,
  act,
  leave = 'Change nothing',
  disabled,
  error,
  onSubmit,
  onClose,
  children,
}: {
  title: string;
  wide?: boolean;
  act: string;
  /** The way out; it says that nothing is changed. */
  leave?: string;
  disabled: boolean;
  error: Error | null;
  onSubmit: () => void;
  onClose: () => void;
  children: ReactNode;
}) {
  const last = useRef(-Infinity);
  const { end, more } = useMoreBelow();
  /** What is pressed after something was written is another act. */
  const anew = () => {
    last.current = -Infinity;
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const now = performance.now();
    if (now - last.current < AT_ONCE) return;
    last.current = now;
    onSubmit();
  };
  return (
    <Dialog title={title} wide={wide} onClose={onClose}>
      <form onSubmit={submit} onInput={anew}>
        {children}
        {error && (
          <p role="alert" className="mt-2 text-error">
            {error.message}
          </p>
        )}
        <div ref={end} className="h-px" />
        <div className="sticky -bottom-5 z-[1] -mx-5 mt-1 -mb-5 flex gap-4 bg-base-100 px-5 pt-3 pb-5">
          <button type="submit" className="act act-main" disabled={disabled}>
            {act}
          </button>
          <Act onClick={onClose}>{leave}</Act>
          {more && (
            <span aria-hidden className="ml-auto self-center text-soft">
              more below ↓
            </span>
          )}
        </div>
      </form>
    </Dialog>
  );
}
