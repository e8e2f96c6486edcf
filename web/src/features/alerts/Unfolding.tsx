import type { ReactNode } from 'react';

/** Something below its head that is asked for when it is opened. */
export function Unfolding({
  head,
  waiting,
  found,
  open,
  onOpen,
  children,
}: {
  head: string;
  /** Said as long as it is on its way. */
  waiting: string;
  found: { error: Error | null; isPending: boolean };
  open: boolean;
  onOpen: (open: boolean) => void;
  children: ReactNode;
}) {
  return (
    <details className="mt-6 max-w-[46rem]" onToggle={(event) => onOpen(event.currentTarget.open)}>
      <summary className="small-head w-fit cursor-pointer">{head}</summary>
      {found.error && (
        <p role="alert" className="text-error">
          {found.error.message}
        </p>
      )}
      {open && found.isPending && <p className="text-soft">{waiting}</p>}
      {children}
    </details>
  );
}
