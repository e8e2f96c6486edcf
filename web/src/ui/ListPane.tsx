import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { useStepping } from './useStepping';

const ROW = 54;

type Props = {
  label: string;
  count: number;
  chosen: number;
  onChoose: (index: number) => void;
  onSight?: (last: number) => void;
  /** Grows whenever the chosen row shall take the focus. */
  focusOn: number;
  children: (index: number) => ReactNode;
};

/** The list of every place: only rows in sight are there, arrows move the choice. */
export function ListPane({ label, count, chosen, onChoose, onSight, focusOn, children }: Props) {
  const pane = useRef<HTMLDivElement>(null);
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
    if (chosen >= 0) rows.scrollToIndex(chosen, { align: 'auto' });
  }, [chosen, rows]);
  const ready = shown.length > 0;
  useEffect(() => {
    if (focusOn > 0 && ready)
      pane.current?.querySelector<HTMLElement>('[aria-current="true"] a')?.focus();
  }, [focusOn, ready]);
  const go = useStepping(chosen, count, onChoose);
  const move = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!step || event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    go(step);
  };
  return (
    <div ref={pane} className="h-full overflow-y-auto" onKeyDown={move}>
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
