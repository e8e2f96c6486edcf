import type { Schema } from '../../../api';

const WIDEST = 96;

function shown(n: number | null | undefined): string {
  return n == null ? '' : n.toLocaleString('en-GB');
}

/** What a line finds alone, what is left after it, and what there would be without it. */
export function Numbers({
  counted,
  off,
  most,
}: {
  counted: Schema['LineCounted'] | undefined;
  off: boolean;
  most: number;
}) {
  if (!counted) return <span className="col-span-3" />;
  const { alone, left, without } = counted;
  return (
    <>
      <span className="pt-1 text-right max-lg:hidden">
        <span className="sr-only">alone </span>
        {shown(alone)}
      </span>
      <span className="flex items-center justify-end gap-2 pt-1 whitespace-nowrap">
        {counted.costsMost && <b className="text-[13px] font-semibold">costs most</b>}
        {left != null && (
          <svg
            aria-hidden="true"
            className="max-lg:hidden"
            width={Math.max(1, Math.round(WIDEST * Math.sqrt(left / most)))}
            height="6"
          >
            <rect width="100%" height="6" className="fill-primary opacity-70" />
          </svg>
        )}
        <span>
          <span className="sr-only">left after it </span>
          {off ? <span className="text-soft">off</span> : left == null ? '–' : shown(left)}
        </span>
      </span>
      <span className="pt-1 text-right text-soft max-lg:hidden">
        <span className="sr-only">without it </span>
        {shown(without)}
      </span>
    </>
  );
}
