import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';

const ROW = 54;

type Props = {
  label: string;
  count: number;
  chosen: number;
  onStep: (by: number) => void;
  onSight?: (last: number) => void;
  /** Grows whenever the chosen row shall take the focus, if nothing else has taken it since. */
  focusOn: number;
  /** Whether these are the rows that were asked for; those of a former list take no focus. */
  ready?: boolean;
  children: (index: number) => ReactNode;
};

/**
 * The list of every place: only rows in sight are there, arrows move the choice and the focus with
 * it. It never takes the focus from something outside of it that has it.
 */
export function ListPane({
  label,
  count,
  chosen,
  onStep,
  onSight,
  focusOn,
  ready = true,
  children,
}: Props) {
  const pane = useRef<HTMLDivElement>(null);
  const wanted = useRef(false);
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count,
    getScrollElement: () => pane.current,
    estimateSize: () => ROW,
    overscan: 6,
  });
  const shown = rows.getVirtualItems();
  const last = shown[shown.length - 1]?.index ?? 0;
  useEffect(() => onSight?.(last), [last, onSight]);
  useEffect(() => {
    if (chosen >= 0 && chosen < count) rows.scrollToIndex(chosen, { align: 'auto' });
  }, [chosen, count, rows]);
  useLayoutEffect(() => {
    if (focusOn > 0) wanted.current = true;
  }, [focusOn]);
  // Where the focus is in the list, it goes with the choice, whoever moved that.
  const before = useRef(chosen);
  useLayoutEffect(() => {
    if (before.current === chosen) return;
    before.current = chosen;
    if (pane.current?.contains(document.activeElement)) wanted.current = true;
  }, [chosen]);
  // As soon as the chosen row is there, which may be some frames after it was chosen.
  useLayoutEffect(() => {
    // Whoever asked for the list stands in front of it.
    if (ready && document.activeElement?.id === 'list') wanted.current = true;
    if (!wanted.current || !ready) return;
    if (!isFree(pane.current)) {
      wanted.current = false;
      return;
    }
    const row = pane.current?.querySelector<HTMLElement>(`[data-index="${chosen}"] a`);
    if (!row) return;
    row.focus({ preventScroll: true });
    wanted.current = false;
  });
  const move = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!step || event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    wanted.current = true;
    onStep(step);
  };
  return (
    <div ref={pane} data-list className="h-full overflow-y-auto" tabIndex={-1} onKeyDown={move}>
      <ol aria-label={label} className="relative" style={{ height: rows.getTotalSize() }}>
        {shown.map((row) => (
          <li
            key={row.key}
            ref={rows.measureElement}
            data-index={row.index}
            aria-setsize={count}
            aria-posinset={row.index + 1}
            aria-current={row.index === chosen}
            className={`absolute inset-x-0 top-0 border-b border-base-300 ${
              row.index === chosen ? 'bg-base-200 shadow-[inset_3px_0_0_var(--color-primary)]' : ''
            }`}
            style={{ transform: `translateY(${row.start}px)` }}
          >
            {children(row.index)}
          </li>
        ))}
      </ol>
    </div>
  );
}

/** Whether the focus is in the list already, around it, or nowhere. */
function isFree(pane: HTMLElement | null): boolean {
  const active = document.activeElement;
  return !active || active === document.body || active.contains(pane) || !!pane?.contains(active);
}
