/** What can be said of an arrival, with its key. */
export const MARKS = [
  { key: '1', word: 'keep', label: 'Keep' },
  { key: '2', word: 'pass', label: 'Pass' },
  { key: '3', word: 'raise', label: 'Raise' },
  { key: '4', word: 'hold', label: 'Hold' },
  { key: '5', word: 'seen', label: 'Seen' },
] as const;
