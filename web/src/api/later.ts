import type { Schema } from './client';
import { Problem } from './problem';

/** An act that came too late: the visit had ended. It is offered again after sign-in (rule K1). */
export type Later =
  | {
      what: 'keep';
      group: string;
      keep: { folder: string; publications: string[]; note: string; step?: string };
    }
  | {
      what: 'mark';
      group: string;
      mark: {
        publications: string[];
        mark: Schema['MarkBody']['mark'];
        reason: string;
        round?: string;
      };
    };

/** What is said when something was pressed too late. */
export const VISIT_ENDED =
  'Your visit has ended. What you did is kept, and offered again once you have signed in.';

const PLACE = 'lantern.later';

/** Whether something was refused because the visit has ended. */
export function hasEnded(error: unknown): boolean {
  return error instanceof Problem && error.status === 401;
}

/** Nothing that was pressed is lost, however much it was. */
export function leaveForLater(act: Later): void {
  sessionStorage.setItem(PLACE, JSON.stringify([...all(), act]));
}

function all(): Later[] {
  const stored = sessionStorage.getItem(PLACE);
  return stored ? (JSON.parse(stored) as Later[]) : [];
}

/** What was left in a group, in the order in which it was pressed. */
export function left(group: string): Later[] {
  return all().filter((act) => act.group === group);
}

/** Forgets what was left in a group. */
export function forget(group: string): void {
  sessionStorage.setItem(PLACE, JSON.stringify(all().filter((act) => act.group !== group)));
}
