import type { Line } from './lines';

const key = (group: string) => `sheet of ${group}`;
const placeKey = (group: string) => `search place of ${group}`;
const draftKey = (group: string) => `draft of ${group}`;

/** Which search stands on the sheet of this window, so that other places can add to it. */
export function rememberSheet(group: string, q: string): void {
  sessionStorage.setItem(key(group), q);
}

export function presentSheet(group: string): string | null {
  return sessionStorage.getItem(key(group));
}

/** Where in Search the member is, so that *Search* leads back there from elsewhere. */
export function rememberPlace(group: string, address: string): void {
  sessionStorage.setItem(placeKey(group), address);
}

export function presentPlace(group: string): string {
  return sessionStorage.getItem(placeKey(group)) ?? `/g/${group}/search`;
}

/** Lines as they stand on the sheet, also those that are not settled; `source`: what they began as. */
export function rememberDraft(group: string, source: string, lines: readonly Line[]): void {
  sessionStorage.setItem(draftKey(group), JSON.stringify({ source, lines }));
}

/** The lines that stood on the sheet when it was left, if it began as the same. */
export function draftOf(group: string, source: string): Line[] | null {
  const stored = sessionStorage.getItem(draftKey(group));
  if (!stored) return null;
  const draft = JSON.parse(stored) as { source: string; lines: Line[] };
  return draft.source === source ? draft.lines : null;
}

/** Words as they stand next to each other in a line. */
export function quoted(words: string): string {
  return `"${words.replace(/["“”„«»]/gu, ' ')}"`;
}

/** A heading as a line asks for it; without modifiers as it is. */
export function headingText(label: string, modifiers: readonly string[] = []): string {
  const asked = modifiers.length > 0 ? modifiers : ['exact'];
  return `heading/${asked.join('/')}: ${quoted(label)}`;
}

/** The address of a sheet with one more line that holds a strategy whole. */
export function sheetHolding(group: string, name: string, joined = false): string {
  const params = new URLSearchParams({ hold: name });
  const present = presentSheet(group);
  if (joined && present) params.set('with', present);
  return `/g/${group}/search?${params}`;
}

/** The address of a sheet that is limited to some values: an empty one, or the present search. */
export function sheetLimited(
  group: string,
  property: string,
  values: readonly string[],
  joined = false,
): string {
  const params = new URLSearchParams({ limit: property });
  values.forEach((value) => params.append('only', value));
  const present = presentSheet(group);
  if (joined && present) params.set('with', present);
  return `/g/${group}/search?${params}`;
}

/**
 * The address of a sheet with one more line: on an empty sheet, or joined to the present search;
 * `off`: switched off, for later.
 */
export function sheetWith(
  group: string,
  line: string,
  {
    joined = false,
    off = false,
    widened = [],
  }: { joined?: boolean; off?: boolean; widened?: readonly string[] } = {},
): string {
  const params = new URLSearchParams({ add: line });
  widened.forEach((by) => params.append('wide', by));
  const present = presentSheet(group);
  if (joined && present) params.set('with', present);
  if (off) params.set('off', '1');
  return `/g/${group}/search?${params}`;
}
