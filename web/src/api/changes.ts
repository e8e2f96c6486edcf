import type { Schema } from './client';
import { Problem } from './problem';

/** What happened in a group since a number; null while nothing did. */
export async function changesSince(
  group: string,
  since: number,
  signal: AbortSignal,
): Promise<Schema['Changes'] | null> {
  const response = await fetch(`/api/groups/${group}/changes?since=${since}`, { signal });
  if (response.status === 304) return null;
  if (!response.ok) throw await Problem.of(response);
  return (await response.json()) as Schema['Changes'];
}
