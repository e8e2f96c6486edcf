import type { Schema } from '../../api';
import { ChoiceField } from '../../ui';

export type Times = {
  everyHours: number;
  hourFrom: number | null;
  hourTo: number | null;
};

const EVERY = [
  { id: '1', name: 'every hour' },
  { id: '6', name: 'every six hours' },
  { id: '24', name: 'every day' },
  { id: '168', name: 'every week' },
  { id: '720', name: 'every thirty days' },
];

const HOURS = Array.from({ length: 24 }, (_, hour) => ({
  id: String(hour),
  name: `${String(hour).padStart(2, '0')}:00`,
}));

/** How often a source is asked, and at which hours it may be. */
export function HarvestTimes({
  times: { everyHours, hourFrom, hourTo },
  onChange,
}: {
  times: Times;
  onChange: (times: Times) => void;
}) {
  const from = (hour: string) =>
    onChange(
      hour === ''
        ? { everyHours, hourFrom: null, hourTo: null }
        : { everyHours, hourFrom: Number(hour), hourTo: other(Number(hour), hourTo) },
    );
  return (
    <div className="grid grid-cols-1 gap-x-4 sm:grid-cols-3">
      <ChoiceField
        label="Asked"
        value={String(everyHours)}
        of={EVERY}
        onChange={(every) => onChange({ everyHours: Number(every), hourFrom, hourTo })}
      />
      <ChoiceField
        label="From (UTC)"
        value={hourFrom === null ? '' : String(hourFrom)}
        none="at any hour"
        of={HOURS}
        onChange={from}
      />
      {hourFrom !== null && (
        <ChoiceField
          label="Until (UTC)"
          value={String(hourTo)}
          of={HOURS.filter(({ id }) => id !== String(hourFrom))}
          onChange={(to) => onChange({ everyHours, hourFrom, hourTo: Number(to) })}
        />
      )}
    </div>
  );
}

/** A night's length later, unless another hour was chosen that can stay. */
function other(from: number, to: number | null): number {
  return to === null || to === from ? (from + 6) % 24 : to;
}

/** In a sentence about a source. */
export function timesSaid({
  everyHours,
  hourFrom,
  hourTo,
}: Pick<Schema['SourceView'], keyof Times>): string {
  const every = EVERY.find(({ id }) => id === String(everyHours))?.name ?? 'every day';
  return hourFrom == null || hourTo == null
    ? `asked ${every}`
    : `asked ${every} from ${HOURS[hourFrom]?.name} to ${HOURS[hourTo]?.name} UTC`;
}
