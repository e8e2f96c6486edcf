/** 1 publication, 2 publications. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n.toLocaleString('en-GB')} ${n === 1 ? one : many}`;
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });

export function day(date: string): string {
  return DAY.format(new Date(date));
}

export function shortDay(date: string): string {
  return SHORT.format(new Date(date));
}

/** "a, b and 4 others" from family names. */
export function people(names: readonly string[]): string {
  return names.length > 4 ? `${names[0]} and ${names.length - 1} others` : names.join(', ');
}

/** "a", "a and b", "a, b and c". */
export function listed(words: readonly string[]): string {
  const last = words[words.length - 1] ?? '';
  return words.length < 2 ? last : `${words.slice(0, -1).join(', ')} and ${last}`;
}

const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** "today 07:40", or the day with the time. */
/** Hours and minutes alone, where the day stands above. */
export function clock(at: string): string {
  return TIME.format(new Date(at));
}

export function timeOfDay(at: string, today: string): string {
  const date = new Date(at);
  const isToday = date.toLocaleDateString('sv') === today;
  return `${isToday ? 'today' : shortDay(at)} ${TIME.format(date)}`;
}
