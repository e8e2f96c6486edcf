import type { Schema } from '../../api';
import { counted, day } from '../../ui';

/** "2 December 2026, 14:00, Room 4". */
export function whenOf({ day: on, time, place }: Schema['NewMeeting']): string {
  return [day(on), time.slice(0, '14:00'.length), place].filter(Boolean).join(', ');
}

const OUTCOMES: Record<string, string> = { keep: 'kept', pass: 'passed', open: 'left open' };

/** What a meeting came to on a work, in a word or two; empty where nothing was written down. */
export function outcomeOf(what: string | undefined): string {
  return what ? (OUTCOMES[what] ?? what) : '';
}

/** Why a work is on an agenda. */
export function whyOf(why: string): string {
  return why === 'raised' ? 'raised' : 'we disagree';
}

/** How many works stand open. */
export function standOpen(n: number): string {
  return `${counted(n, 'work')} ${n === 1 ? 'stands' : 'stand'} open`;
}

/** How far a meeting is, or how much it is about. */
export function howFar({ state, works, decided }: Schema['MeetingLine']): string {
  if (state === 'planned') return works === 0 ? 'nothing stands open yet' : standOpen(works);
  return `${decided} of ${counted(works, 'work')} decided`;
}
