import { chosenDates } from './settings';

/** 1 publication, 2 publications. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n.toLocaleString('en-GB')} ${n === 1 ? one : many}`;
}

/** The group's time zone: every time that is shown is told in it, wherever the reader is. */
let zone: string | undefined;

export function setZone(next: string): void {
  zone = next;
}

/** A day without a time is that day everywhere. */
function zoneOf(date: string): Intl.DateTimeFormatOptions {
  const timeZone = date.length <= '2026-11-24'.length ? 'UTC' : zone;
  return timeZone ? { timeZone } : {};
}

/** In the language that the reader chose for dates. */
function format(date: string, parts: Intl.DateTimeFormatOptions): string {
  const language = chosenDates();
  return language === 'iso'
    ? dayOf(date)
    : new Intl.DateTimeFormat(language, { ...parts, ...zoneOf(date) }).format(new Date(date));
}

export function day(date: string): string {
  return format(date, { day: 'numeric', month: 'long', year: 'numeric' });
}

export function shortDay(date: string): string {
  return format(date, { day: 'numeric', month: 'short' });
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

/** Hours and minutes alone, where the day stands above. */
export function clock(at: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    ...zoneOf(at),
  }).format(new Date(at));
}

/** The day and the time of a moment. */
export function moment(at: string): string {
  return `${day(at)}, ${clock(at)}`;
}

/** The day of a moment, as 2026-11-24. */
export function dayOf(at: string): string {
  return new Intl.DateTimeFormat('sv', zoneOf(at)).format(new Date(at));
}

/** "today 07:40", or the day with the time. */
export function timeOfDay(at: string, today: string): string {
  return `${dayOf(at) === today ? 'today' : shortDay(at)} ${clock(at)}`;
}
