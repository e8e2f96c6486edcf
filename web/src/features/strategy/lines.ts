import type { Schema } from '../../api';

/** A line of the sheet, as it travels and is stored. */
export type Line = Schema['LineBody'];
export type Strategy = { version: number; lines: Line[] };

const VERSION = 3;
export const UNKNOWN = 'unknown';

/** Begins elsewhere after each reload: what was typed before it may still be on the sheet. */
let last = Date.now() % 1_000_000;

/** A line's name inside its strategy; never one that was used in this window before. */
export function newId(lines: readonly Line[]): string {
  do last += 1;
  while (lines.some((line) => line.id === `l${last}`));
  return `l${last}`;
}

export function blank(lines: readonly Line[]): Line {
  return { id: newId(lines), kind: 'words', text: '' };
}

export function isBlank(line: Line): boolean {
  return line.kind === 'words' && (line.text ?? '').trim() === '';
}

/** With an empty last line, which invites to go on. */
export function inviting(lines: readonly Line[]): Line[] {
  const end = lines[lines.length - 1];
  return end && isBlank(end) ? [...lines] : [...lines, blank(lines)];
}

/** What is searched for: everything but the lines that wait for their words. */
export function strategyOf(lines: readonly Line[]): Strategy {
  return { version: VERSION, lines: lines.filter((line) => !isBlank(line)) };
}

export function strategyOfText(text: string): Strategy {
  return { version: VERSION, lines: [{ id: 'l1', kind: 'words', text }] };
}

/** Whether there is anything to search for. */
export function asks(strategy: Strategy): boolean {
  return strategy.lines.some((line) => !line.off);
}

/** Two strategies that ask for the same by the same lines, whatever the lines are called. */
export function sameLines(one: Strategy, other: Strategy): boolean {
  return nameless(one) === nameless(other);
}

/** Lines without their names, in one order of their parts. */
function nameless({ lines }: Strategy): string {
  return JSON.stringify(
    lines.map((line) =>
      Object.entries(line)
        .filter(([part, value]) => part !== 'id' && value != null && value !== false)
        .sort(([one], [other]) => (one < other ? -1 : 1)),
    ),
  );
}

export function limitOf(lines: readonly Line[], property: string): Line | undefined {
  return lines.find((line) => line.kind === 'limit' && line.property === property);
}

/** A limit that narrows nothing any more. */
export function isEmptyLimit(line: Line): boolean {
  return (
    !line.chosen?.length && !line.ruledOut?.length && !line.from && !line.to && line.last == null
  );
}

const NAMES: Record<string, string> = {
  date: 'Years',
  access: 'Access',
  peer: 'Peer reviewed',
  kind: 'Kind',
  study: 'Kind of study',
  state: 'State',
  journal: 'Journal',
  publisher: 'Publisher',
  language: 'Language',
  source: 'Source',
  taxon: 'Organisms',
  region: 'Region',
  stage: 'Life stage',
  sex: 'Sex studied',
  pages: 'Length',
  figures: 'Figures',
  references: 'Cited works',
  abstract: 'Abstract',
  came: 'Came here',
  heading: 'Headings',
  keyword: 'Author keywords',
  author: 'Authors',
};

export function propertyName(property: string): string {
  return NAMES[property] ?? property;
}

const YES_NO: Record<string, readonly [string, string]> = {
  figures: ['with figures', 'without figures'],
  references: ['known', 'not known'],
  abstract: ['with abstract', 'without abstract'],
};

/** What a value is called. `sources`: names of sources by key. */
export function valueName(
  property: string,
  value: string,
  sources: Readonly<Record<string, string>> = {},
): string {
  if (value === UNKNOWN) return 'unknown';
  const words = YES_NO[property];
  if (words) return value === 'yes' ? words[0] : words[1];
  if (property === 'source') return sources[value] ?? value;
  if (property === 'language') {
    try {
      return new Intl.DisplayNames('en', { type: 'language' }).of(value) ?? value;
    } catch {
      return value;
    }
  }
  return value;
}

function range(line: Line): string {
  if (line.last != null) return `this year and the ${line.last} before it`;
  const unit = line.property === 'pages' ? ' pages' : '';
  if (line.from && line.to) {
    return line.from === line.to ? `${line.from}${unit}` : `${line.from} to ${line.to}${unit}`;
  }
  return line.from ? `from ${line.from}${unit}` : `up to ${line.to ?? ''}${unit}`;
}

/** What a limit says, in words. */
export function limitText(line: Line, sources?: Readonly<Record<string, string>>): string {
  const name = (value: string) => valueName(line.property ?? '', value, sources);
  const parts: string[] = [];
  if (line.from || line.to || line.last != null) parts.push(range(line));
  if (line.chosen?.length) parts.push(line.chosen.map(name).join(line.all ? ' and ' : ' or '));
  const chosen = parts.join(' or ');
  const out = line.ruledOut?.length ? `not ${line.ruledOut.map(name).join(', not ')}` : '';
  return (
    [chosen, out]
      .filter(Boolean)
      .join(', but ')
      .replace(/^, but /, '') || 'nothing chosen'
  );
}

/** What a line says, in words. */
export function lineText(line: Line, sources?: Readonly<Record<string, string>>): string {
  if (line.kind === 'words') return line.text ?? '';
  return line.kind === 'limit'
    ? `${propertyName(line.property ?? '')}: ${limitText(line, sources)}`
    : 'a held strategy';
}

/** A strategy in a list, in few words. */
export function shortText(strategy: Strategy): string {
  return strategy.lines
    .filter((line) => !line.off)
    .map((line) => lineText(line))
    .join(' · ');
}
