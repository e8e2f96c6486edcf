import type { Schema } from '../../api';

/** What is said with the next mark; reasons of the group are offered. */
export function Reason({
  id,
  group,
  reason,
  onReason,
  hint,
}: {
  id: string;
  group: Schema['GroupView'];
  reason: string;
  onReason: (reason: string) => void;
  /** The key that leads here. */
  hint?: string;
}) {
  return (
    <label className="flex min-w-[12rem] flex-1 items-center gap-2 text-[13px] text-soft">
      <span>Reason {hint && <kbd className="key font-sans">{hint}</kbd>}</span>
      <input
        id={id}
        className="field min-w-0 flex-1"
        placeholder="said with the next mark"
        list={`${id} offered`}
        autoComplete="off"
        maxLength={4000}
        value={reason}
        onChange={(event) => onReason(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <datalist id={`${id} offered`}>
        {group.reasons.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
    </label>
  );
}
