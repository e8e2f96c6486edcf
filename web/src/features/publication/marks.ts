/** What a member can say of a publication, with its key; the same in every place. */
export const MARKS = [
  { key: '1', word: 'keep', label: 'Keep' },
  { key: '2', word: 'pass', label: 'Pass' },
  { key: '3', word: 'raise', label: 'Raise' },
  { key: '4', word: 'hold', label: 'Hold' },
  { key: '5', word: 'seen', label: 'Seen' },
  { key: '6', word: 'hold for text', label: 'Hold for text' },
] as const;

/** To let rest has no key: it is done to many, after an absence. */
export type MarkWord = (typeof MARKS)[number]['word'] | 'rest';

/** What a mark does to the lamp of whoever makes it. */
export function lampOf(word: MarkWord): 'lit' | 'dim' | 'rested' {
  if (word === 'rest') return 'rested';
  return word.startsWith('hold') ? 'dim' : 'lit';
}
