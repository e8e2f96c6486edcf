import { useEffect, useRef, type ReactNode } from 'react';

/** A small form over the page; Escape leaves it. Focus goes in and comes back by the browser. */
export function Dialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
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
      className="m-auto w-[28rem] max-w-[calc(100vw-2rem)] rounded-box border border-rule-strong bg-base-100 p-5 text-base-content backdrop:bg-black/40"
    >
      <h2 id="dialog-title" className="font-serif text-lg font-semibold">
        {title}
      </h2>
      {children}
    </dialog>
  );
}
