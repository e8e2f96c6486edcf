import type { Schema } from '../../api';
import { counted, listed, shortDay } from '../../ui';
import { Paragraphs } from '../annotation';
import { CitedEntry } from '../citing';
import type { Said } from './api';

/** An entry with what is wrong in it, whether somebody compared it, and what was read of it. */
export function EntryRow({
  entry,
  layout,
  chosen,
  ticks,
  heading,
  said,
  onChoose,
  onTick,
}: {
  entry: Schema['EntryOfFolder'] | undefined;
  layout: Schema['EntryLayout'];
  chosen: boolean;
  /** Whether the reader may say that it was compared. */
  ticks: boolean;
  /** The heading that begins with this entry; empty for none. */
  heading: string;
  /** Which annotations are shown. */
  said: Said;
  onChoose: () => void;
  onTick: () => void;
}) {
  if (!entry) return <div className="h-[54px] px-6 py-2 text-faint">…</div>;
  const { compared, faults, read, annotation, quoted } = entry;
  const kinds = [...new Set(faults.map((fault) => fault.words))];
  const bad = faults.some((fault) => fault.kind === 'retracted');
  const below = annotation && (said === '' || (said === 'agreed' && annotation.state === 'agreed'));
  return (
    <div
      className={`grid cursor-pointer grid-cols-[auto_minmax(0,1fr)] gap-x-3 px-4 py-2 sm:grid-cols-[auto_minmax(0,1fr)_9.5rem] lg:px-6 ${
        chosen ? 'bg-base-200 shadow-[inset_3px_0_0_var(--color-primary)]' : ''
      }`}
      onClick={onChoose}
    >
      {heading && <h2 className="col-span-full pb-1 font-serif text-[17px]">{heading}</h2>}
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
      <div>
        <CitedEntry parts={entry.parts} layout={layout} />
        {said !== 'none' &&
          quoted.map((one) => (
            <p key={one.id} className="mt-1 pl-[1.9em] text-[13px]">
              Quoted through this: {one.described}
              {!one.read && <b className="font-semibold text-warning"> not read</b>}
            </p>
          ))}
        {below && (
          <div className="mt-1 border-l border-rule-strong pl-[1.6em]">
            <Paragraphs of={annotation.paragraphs} />
            <p className="text-[13px] text-soft">
              {annotation.by} · <b className="font-semibold">{annotation.state}</b>
              {annotation.open > 0 && ` · ${counted(annotation.open, 'remark')} open`}
            </p>
          </div>
        )}
      </div>
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
