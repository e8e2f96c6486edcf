const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'];

function named(day: string): string {
  return day.charAt(0) + day.slice(1).toLowerCase();
}

/** A stored rhythm in words. */
export function rhythmInWords(rhythm: string, hour: string): string {
  const [kind = '', detail = ''] = rhythm.split(':');
  const at = ` at ${hour.slice(0, 5)}`;
  if (kind === 'at-once') return 'as soon as something comes';
  if (kind === 'daily') return `every day${at}`;
  if (kind === 'monthly') return `monthly, on day ${detail}${at}`;
  return `every ${detail.split(',').map(named).join(' and ')}${at}`;
}

/** What can be chosen. */
export const RHYTHMS: readonly (readonly [string, string])[] = [
  ['daily', 'every day'],
  ['at-once', 'as soon as something comes'],
  ...DAYS.map((day) => [`weekly:${day}`, `every ${named(day)}`] as const),
  ['weekly:MONDAY,THURSDAY', 'every Monday and Thursday'],
  ['monthly:1', 'monthly, on the first'],
  ['monthly:31', 'monthly, on the last day'],
];

const MONTH = new Intl.DateTimeFormat('en-GB', {
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A month as `2026-03` in words. */
export function monthInWords(month: string): string {
  return MONTH.format(new Date(`${month}-01T00:00:00Z`));
}
