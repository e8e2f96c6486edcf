import type { Schema } from '../../api';
import { headingText, quoted } from '../strategy';

/** What is being typed: the letters before the caret, back to a sign or an operator. */
export function wordAt(text: string, caret: number): string {
  const before = text.slice(0, caret);
  const after = text.slice(caret, caret + 1);
  if (/[\p{L}\p{N}]/u.test(after)) return '';
  const found = /(?:^|[\s(:"“])([\p{L}][\p{L}\p{N}'’-]*)$/u.exec(before);
  const word = found?.[1] ?? '';
  return ['and', 'or', 'not'].includes(word.toLowerCase()) ? '' : word;
}

/** The line with a suggestion in the place of what was being typed. */
export function insertion(
  text: string,
  typed: string,
  suggestion: Schema['SuggestionShown'],
): string {
  const at = text.lastIndexOf(typed);
  const field = /(?:heading(?:\/[\p{L}-]+)*|keyword|author|journal):\s*["“]?$/u;
  const before = text.slice(0, at);
  const start = before.replace(field, '');
  const asked = /^heading\/([\p{L}/-]+):/u.exec(before.slice(start.length))?.[1]?.split('/');
  const rest = text.slice(at + typed.length).replace(/^["”]/u, '');
  return `${start}${written(suggestion, asked)}${rest}`;
}

/** A suggestion as it is typed: in its field, in quotes; a heading as it was asked for. */
export function written(
  { property, value }: { property: string; value: string },
  asked: readonly string[] = [],
): string {
  if (property === 'heading') return headingText(value, asked);
  const name =
    property === 'author' && value.includes(', ') ? value.replace(/^(.*?), (.*)$/, '$2 $1') : value;
  return `${property}: ${quoted(name)}`;
}
