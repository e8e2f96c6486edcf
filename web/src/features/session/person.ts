import type { Schema } from '../../api';
import { shortDay } from '../../ui';

/** How somebody is offered to be chosen: by name, and that they are away, where they are. */
export function offered({ id, name, away }: Schema['Person']): { id: string; name: string } {
  if (!away) return { id, name };
  return { id, name: `${name} (away${away.to ? ` until ${shortDay(away.to)}` : ''})` };
}
