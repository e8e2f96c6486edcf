import type { Wanted } from './api';

import { FIRST_COLUMNS } from './columns';

/** What a file shall be, and which columns a table has. */
export type Chosen = Wanted & { columns: readonly string[] };

const FIRST: Chosen = {
  columns: FIRST_COLUMNS,
  format: 'ris',
  with: ['abstract', 'keywords', 'link'],
  commands: false,
};

/** Members who share a browser do not share what they chose. */
function place(member: string): string {
  return `lantern.export.${member}`;
}

/** What a member chose last in this browser. */
export function lastWanted(member: string): Chosen {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place(member)) ?? 'null');
    return isWanted(kept) ? kept : FIRST;
  } catch {
    return FIRST;
  }
}

function isWanted(one: unknown): one is Chosen {
  if (typeof one !== 'object' || one === null) return false;
  const { format, with: along, commands, columns } = one as Record<string, unknown>;
  return (
    typeof format === 'string' &&
    typeof commands === 'boolean' &&
    areWords(along) &&
    areWords(columns)
  );
}

function areWords(all: unknown): boolean {
  return Array.isArray(all) && all.every((word) => typeof word === 'string');
}

export function noteWanted(member: string, wanted: Chosen): void {
  localStorage.setItem(place(member), JSON.stringify(wanted));
}
