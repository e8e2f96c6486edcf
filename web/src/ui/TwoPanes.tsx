import { useEffect, useRef, type ReactNode } from 'react';
import { Act } from './Act';

/**
 * List and leaf beside each other; on narrow screens the leaf covers the list when it is opened.
 */
export function TwoPanes({
  list,
  leaf,
  label,
  open,
  onBack,
}: {
  list: ReactNode;
  leaf: ReactNode;
  label: string;
  open: boolean;
  onBack: () => void;
}) {
  const pane = useRef<HTMLElement>(null);
  useEffect(() => {
    // Where the leaf covers the list, whoever opened it is taken along.
    if (open && window.matchMedia('(max-width: 1023px)').matches) pane.current?.focus();
  }, [open]);
  return (
    <div className="grid h-full min-h-0 lg:grid-cols-[minmax(0,700fr)_minmax(0,580fr)]">
      <div className="min-h-0 border-base-300 pb-12 lg:border-r lg:pb-0">{list}</div>
      <section
        ref={pane}
        aria-label={label}
        tabIndex={-1}
        className={`overflow-y-auto bg-base-200 px-4 pt-3.5 pb-20 lg:static lg:block lg:pr-6 lg:pl-[22px] ${
          open ? 'absolute inset-0' : 'hidden'
        }`}
      >
        <Act className="mb-2 lg:hidden!" onClick={onBack}>
          Back to the list
        </Act>
        {leaf}
      </section>
    </div>
  );
}
