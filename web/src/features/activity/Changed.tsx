import type { Schema } from '../../api';

type Change = Schema['DifferenceShown'];

/** Longer than this, both sides stand below, to be opened. */
const SHORT = 60;

/** What an act changed: how it was, and how it is since. */
export function Changed({ changed }: { changed: readonly Change[] }) {
  if (changed.length === 0) return null;
  return (
    <ul className="basis-full pl-15 text-[13px] text-soft">
      {changed.map((change) => (
        <li key={change.of}>
          {change.was.length + change.is.length <= SHORT ? (
            <>
              {change.of}: {side(change.was)} <span aria-hidden="true">→</span>
              <span className="sr-only"> became </span> {side(change.is)}
            </>
          ) : (
            <details>
              <summary className="min-h-[24px] cursor-pointer">
                {change.of}: before and after
              </summary>
              <dl className="grid max-w-[65ch] grid-cols-[4rem_1fr] gap-y-1 font-serif text-[14px]">
                <dt className="font-sans text-[13px]">before</dt>
                <dd className="whitespace-pre-wrap [overflow-wrap:anywhere]">{side(change.was)}</dd>
                <dt className="font-sans text-[13px]">after</dt>
                <dd className="whitespace-pre-wrap [overflow-wrap:anywhere]">{side(change.is)}</dd>
              </dl>
            </details>
          )}
        </li>
      ))}
    </ul>
  );
}

function side(text: string): string {
  return text || 'nothing';
}
