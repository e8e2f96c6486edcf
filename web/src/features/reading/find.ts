import { words, type Folded } from './fold';

/** Where words stand: the page, which of the same on it, and the line around them. */
export interface Found {
  page: number;
  nth: number;
  before: string;
  words: string;
  after: string;
  /** How far into the work, from 0 to 1. */
  far: number;
}

const AROUND = 44;

/** What is looked for, as a pattern over folded text; null where there is nothing to look for. */
export function pattern(typed: string): RegExp | null {
  const parts = typed
    .replace(/["“”„]/g, ' ')
    .split(/\s+/)
    .map((word) =>
      word
        .split(/([*?])/)
        .map((part) => (part === '*' ? '[^ ]*' : part === '?' ? '[^ ]' : words(part).text))
        .join(''),
    )
    .filter((part) => /[\p{L}\p{N}]/u.test(part));
  if (parts.length === 0) return null;
  // A cut word begins where a word begins; whatever else is typed may stand inside one.
  const begins = /[*?]/.test(typed) ? '(?<![^ ])' : '';
  return new RegExp(begins + parts.join(' '), 'g');
}

/** The stretches of a folded text that fit, as places in the text itself. */
export function stretches(folded: Folded, wanted: RegExp): [number, number][] {
  const found: [number, number][] = [];
  for (const match of folded.text.matchAll(wanted)) {
    const last = match.index + match[0].length - 1;
    if (last < match.index) continue;
    found.push([folded.at[match.index] ?? 0, (folded.at[last] ?? 0) + 1]);
  }
  return found;
}

/** Every place where something stands, page by page. */
export function find(pages: string[], folded: Folded[], wanted: RegExp): Found[] {
  return folded.flatMap((one, page) => {
    const text = pages[page] ?? '';
    return stretches(one, wanted).map(([from, to], nth) => ({
      page,
      nth,
      before: text.slice(Math.max(0, from - AROUND), from).replace(/\s+/g, ' '),
      words: text.slice(from, to).replace(/\s+/g, ' '),
      after: text.slice(to, to + AROUND).replace(/\s+/g, ' '),
      far: (page + from / text.length) / pages.length,
    }));
  });
}
