/** Keys, words and names of what a member can say besides keep. */
export const MARKS = [
  ['2', 'pass', 'Pass'],
  ['3', 'raise', 'Raise'],
  ['4', 'hold', 'Hold'],
  ['5', 'seen', 'Seen'],
] as const;
