import { useLayoutEffect, useRef, type ReactNode } from 'react';

/**
 * A small form over the page; Escape leaves it. Focus goes in and comes back by the browser. It hangs
 * from above: what comes later makes it longer, and nothing moves from under a hand.
 */
export function Dialog({
  title,
  wide = false,
  onClose,
  children,
}: {
  title: string;
  wide?: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  // Before the browser draws, and closed while it still stands there: else what had the focus before
  // would not get it back.
  useLayoutEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
    // What is typed into comes first; else the browser chooses.
    shown
      ?.querySelector<HTMLElement>(
        'input:not([type=checkbox], [type=time], [type=number]), textarea',
      )
      ?.focus();
    return () => shown?.close();
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-labelledby="dialog-title"
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
      className={`mx-auto mt-[6vh] mb-auto max-h-[90vh] max-w-[calc(100vw-2rem)] rounded-box border border-rule-strong bg-base-100 p-5 text-base-content backdrop:bg-black/40 ${
        wide ? 'w-[46rem]' : 'w-[28rem]'
      }`}
    >
      <h2 id="dialog-title" className="font-serif text-lg font-semibold">
        {title}
      </h2>
      {children}
    </dialog>
  );
}
