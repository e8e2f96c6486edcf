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
      mark: { publication: string; mark: string; reason: string; round?: string };
    };

const PLACE = 'lantern.later';

/** Whether something was refused because the visit has ended. */
export function hasEnded(error: unknown): boolean {
  return error instanceof Problem && error.status === 401;
}

export function leaveForLater(act: Later): void {
  sessionStorage.setItem(PLACE, JSON.stringify(act));
}

/** What was left in a group, if anything. */
export function left(group: string): Later | null {
  const stored = sessionStorage.getItem(PLACE);
  const act = stored ? (JSON.parse(stored) as Later) : null;
  return act?.group === group ? act : null;
}

export function forget(): void {
  sessionStorage.removeItem(PLACE);
}
