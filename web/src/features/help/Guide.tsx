import { Act } from '../../ui';
import type { Line } from '../strategy';
import { guideTo, leaveGuide, STEPS, useGuide } from './guide';

/** One step of the first search, between sheet and list. Nothing where the guide is not on. */
export function Guide({
  lines,
  settled,
  onLines,
}: {
  lines: readonly Line[];
  settled: boolean;
  onLines: (lines: readonly Omit<Line, 'id'>[]) => void;
}) {
  const at = useGuide();
  const step = typeof at === 'number' ? STEPS[at] : undefined;
  if (typeof at !== 'number' || !step) return null;
  const done = step.done(lines, settled);
  const last = at === STEPS.length - 1;
  return (
    <section
      aria-label="A first search"
      className="border-b border-base-300 bg-base-100 px-4 py-2 lg:px-6"
    >
      <p role="status" className="max-w-[80ch]">
        <b className="font-semibold">
          {at + 1} of {STEPS.length}: {step.title}.
        </b>{' '}
        {done ? 'Done.' : step.says}
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-x-5">
        <Act main={done} onClick={() => guideTo(at + 1)}>
          {last ? 'Finish' : 'Next step'}
        </Act>
        {!done && step.lines && (
          <Act onClick={() => step.lines && onLines(step.lines)}>Do it for me</Act>
        )}
        {at > 0 && <Act onClick={() => guideTo(at - 1)}>Back</Act>}
        <Act onClick={leaveGuide}>Leave the guide</Act>
      </p>
    </section>
  );
}
