import type { Schema } from '../../api';
import { shortDay } from '../../ui';

/** How somebody is offered to be chosen: by name, and that they are away, where they are. */
export function offered({ id, name, away }: Schema['Person']): { id: string; name: string } {
  return { id, name: away ? `${name} (${awayWords(away)})` : name };
}

/** That somebody is away, and until when, where that is known. */
export function awayWords({ to }: Schema['AwayNow']): string {
  return to ? `away until ${shortDay(to)}` : 'away';
}
