import type { Schema } from '../../api';
import { counted, shortDay } from '../../ui';

/** So many are drawn on a day one by one; of more, their number stands above. */
const DRAWN = 8;

/** A mark for each arrival of the last month, on its day; lit where the reader has looked. */
export function Month({ days }: { days: readonly Schema['DayCame'][] }) {
  return (
    <ol
      aria-label="Arrivals of the last month by day"
      className="mt-3 grid grid-flow-col items-end gap-[3px] lg:gap-[5px]"
      style={{ gridAutoColumns: 'minmax(0, 1fr)' }}
    >
      {days.map((one, at) => (
        <li key={one.day} className={at < days.length - 14 ? 'max-sm:hidden' : ''}>
          <span className="sr-only">
            {shortDay(one.day)}: {counted(one.came, 'arrival')}, {one.lit} looked at
          </span>
          <span aria-hidden="true" className="flex h-[78px] flex-col justify-end gap-px">
            {one.came > DRAWN && (
              <span className="text-center text-[11px] text-faint">{one.came}</span>
            )}
            {marks(one).map((isLit, n) => (
              <i
                key={n}
                className={`block h-2 rounded-[1px] border ${
                  isLit ? 'border-accent bg-accent' : 'border-[color:var(--lamp-edge)]'
                }`}
              />
            ))}
          </span>
          <span
            aria-hidden="true"
            className={`block overflow-hidden text-center text-[11px] ${
              begins(one.day) ? 'font-semibold text-soft' : 'text-faint'
            }`}
          >
            {begins(one.day) ? shortDay(one.day).split(' ')[1] : Number(one.day.slice(8))}
          </span>
        </li>
      ))}
    </ol>
  );
}

function begins(day: string): boolean {
  return day.endsWith('-01');
}

/** From above: what waits, then what is lit, in proportion where there is more than is drawn. */
function marks({ came, lit }: Schema['DayCame']): boolean[] {
  const drawn = Math.min(came, DRAWN);
  const bright = came === 0 ? 0 : Math.round((lit / came) * drawn);
  return Array.from({ length: drawn }, (_, at) => at >= drawn - bright);
}
