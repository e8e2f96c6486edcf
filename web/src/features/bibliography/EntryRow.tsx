import type { Schema } from '../../api';
import { listed, shortDay } from '../../ui';
import { CitedEntry } from '../citing';

/** An entry with what is wrong in it, whether somebody compared it, and what was read of it. */
export function EntryRow({
  entry,
  layout,
  chosen,
  ticks,
  onChoose,
  onTick,
}: {
  entry: Schema['EntryOfFolder'] | undefined;
  layout: Schema['EntryLayout'];
  chosen: boolean;
  /** Whether the reader may say that it was compared. */
  ticks: boolean;
  onChoose: () => void;
  onTick: () => void;
}) {
  if (!entry) return <div className="h-[54px] px-6 py-2 text-faint">…</div>;
  const { compared, faults, read } = entry;
  const kinds = [...new Set(faults.map((fault) => fault.words))];
  const bad = faults.some((fault) => fault.kind === 'retracted');
  return (
    <div
      className={`grid cursor-pointer grid-cols-[auto_minmax(0,1fr)] gap-x-3 px-4 py-2 sm:grid-cols-[auto_minmax(0,1fr)_9.5rem] lg:px-6 ${
        chosen ? 'bg-base-200 shadow-[inset_3px_0_0_var(--color-primary)]' : ''
      }`}
      onClick={onChoose}
    >
      {ticks ? (
        <input
          type="checkbox"
          aria-label="Compared with the work itself"
          className="mt-1.5 size-[14px] cursor-pointer accent-primary"
          checked={Boolean(compared)}
          onClick={(event) => event.stopPropagation()}
          onChange={onTick}
        />
      ) : (
        <span />
      )}
      <CitedEntry parts={entry.parts} layout={layout} />
      <div className="text-[13px] max-sm:col-start-2">
        {compared ? (
          <p className="text-success">
            compared{' '}
            <span className="text-soft">
              by {compared.by}, {shortDay(compared.at)}
            </span>
          </p>
        ) : (
          kinds.length > 0 && (
            <p className={`font-semibold ${bad ? 'text-error' : 'text-warning'}`}>
              {listed(kinds)}
            </p>
          )
        )}
        <p className="text-soft">
          {read === 'text' ? 'text read' : read === 'abstract' ? 'abstract read' : 'read by nobody'}
        </p>
      </div>
    </div>
  );
}
