/** A text reduced to what is compared, with the place of each of its signs in the text. */
export interface Folded {
  text: string;
  at: number[];
}

const APART: Record<string, string> = { ß: 'ss', ø: 'o', æ: 'ae', ł: 'l' };
const COUNTS = /[\p{L}\p{N}]/u;

/** Letters and digits, small, without accents, as the server folds them (`Fold.letters`). */
function letters(sign: string): string {
  const apart = sign
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[ßøæł]/g, (one) => APART[one] ?? one);
  return [...apart].filter((one) => COUNTS.test(one)).join('');
}

const known = new Map<string, string>();

function lettersOf(sign: string): string {
  let found = known.get(sign);
  if (found === undefined) {
    found = letters(sign);
    known.set(sign, found);
  }
  return found;
}

/** Words with one blank between them; a word that a line end divides is one. */
export function words(text: string): Folded {
  const folded: string[] = [];
  const at: number[] = [];
  let gap = false;
  let place = 0;
  for (const sign of text) {
    const some = lettersOf(sign);
    if (some === '') {
      gap ||= !divides(text, place);
    } else {
      if (gap && folded.length > 0) {
        folded.push(' ');
        at.push(place);
      }
      gap = false;
      for (const one of some) {
        folded.push(one);
        at.push(place);
      }
    }
    place += sign.length;
  }
  return { text: folded.join(''), at };
}

/** A hyphen at the end of a line, the line end behind it, and hyphens that only may be shown. */
function divides(text: string, at: number): boolean {
  const sign = text[at] ?? '';
  if (sign === '\u00AD') return true;
  if (sign === '-' || sign === '\u2010') return text[at + 1] === '\n';
  return sign === '\n' && /[-\u2010]/.test(text[at - 1] ?? '');
}

/** Without the blanks: for passages, which are the same whatever their lines. */
export function withoutBlanks(folded: Folded): Folded {
  const text: string[] = [];
  const at: number[] = [];
  for (let n = 0; n < folded.text.length; n++) {
    const sign = folded.text[n] ?? '';
    if (sign !== ' ') {
      text.push(sign);
      at.push(folded.at[n] ?? 0);
    }
  }
  return { text: text.join(''), at };
}
