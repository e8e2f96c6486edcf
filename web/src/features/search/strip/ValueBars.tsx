import type { Schema } from '../../../api';
import { UNKNOWN, type Line } from '../../strategy';

/** Values as bars: pressing one picks it. */
export function ValueBars({
  data,
  line,
  pressable,
  onChoose,
}: {
  data: Schema['BreakdownShown'];
  line: Line | undefined;
  pressable: boolean;
  onChoose: (value: string) => void;
}) {
  const bars = below(undefined, 0, data.bars);
  const unknown = { value: UNKNOWN, label: 'unknown', count: data.unknown, parents: [], deep: 0 };
  const all = data.unknown > 0 && pressable ? [...bars, unknown] : bars;
  const most = Math.max(1, ...all.map((bar) => bar.count));
  if (all.length === 0) return <p className="py-2 text-soft">No value is known.</p>;
  return (
    <ul className="mt-1 grid max-h-[30vh] grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-x-6 overflow-y-auto">
      {all.map((bar) => {
        const chosen = line?.chosen?.includes(bar.value) ?? false;
        const out = line?.ruledOut?.includes(bar.value) ?? false;
        return (
          <li key={bar.value}>
            <button
              type="button"
              {...(pressable ? { 'aria-pressed': chosen || out } : {})}
              className="flex min-h-[24px] w-full cursor-pointer items-baseline gap-2 text-left hover:bg-base-200"
              onClick={() => onChoose(bar.value)}
            >
              <span
                className={`min-w-0 flex-1 truncate ${chosen ? 'font-semibold' : ''} ${
                  out ? 'line-through' : ''
                }`}
                style={{ paddingLeft: bar.deep * 10 }}
              >
                {bar.label}
                {chosen && <span className="sr-only"> picked</span>}
                {out && <span className="sr-only"> ruled out</span>}
              </span>
              <svg aria-hidden="true" width="64" height="8" className="self-center">
                <rect
                  width={Math.max(1, Math.round(64 * Math.sqrt(bar.count / most)))}
                  height="8"
                  className={chosen ? 'fill-primary' : 'fill-primary opacity-40'}
                />
              </svg>
              <span className="w-12 text-right">{bar.count.toLocaleString('en-GB')}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

type Deep = Schema['BarShown'] & { deep: number };

const DEEPEST = 8;

/** Each value with those below it behind it; those of a flat list stay in their order. */
function below(parent: string | undefined, deep: number, all: Schema['BarShown'][]): Deep[] {
  if (deep > DEEPEST) return [];
  const values = new Set(all.map((bar) => bar.value));
  const here = all.filter((bar) => {
    const above = bar.parents.find((each) => values.has(each));
    return parent === undefined ? above === undefined : above === parent;
  });
  return here.flatMap((bar) => [{ ...bar, deep }, ...below(bar.value, deep + 1, all)]);
}
