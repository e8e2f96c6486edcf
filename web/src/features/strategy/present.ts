const key = (group: string) => `sheet of ${group}`;

/** Which search stands on the sheet of this window, so that other places can add to it. */
export function rememberSheet(group: string, q: string): void {
  sessionStorage.setItem(key(group), q);
}

export function presentSheet(group: string): string | null {
  return sessionStorage.getItem(key(group));
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
