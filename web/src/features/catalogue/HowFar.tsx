import type { Schema } from '../../api';
import { counted } from '../../ui';

/** How far the harvest is that goes on now. */
export function HowFar({ underWay }: { underWay: Schema['UnderWay'] | undefined }) {
  if (!underWay) return null;
  const { taken, expected, aSecond } = underWay;
  const left = expected && aSecond > 0 ? Math.max(0, expected - taken) / aSecond : undefined;
  return (
    <p role="status">
      Being harvested: {counted(taken, 'record')}
      {expected ? ` of ${expected.toLocaleString('en-GB')}` : ' so far'}
      {aSecond > 0 && `, ${aSecond.toLocaleString('en-GB')} a second`}
      {left !== undefined && `, ${lasting(left)} left`}
    </p>
  );
}

/** About, in the unit that says it best. */
export function lasting(seconds: number): string {
  if (seconds < 90) return counted(Math.ceil(seconds), 'second');
  const minutes = Math.round(seconds / 60);
  return minutes < 90 ? counted(minutes, 'minute') : `${counted(Math.round(minutes / 60), 'hour')}`;
}
