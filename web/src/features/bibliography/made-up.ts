/** A bibliography for tests: one entry with a fault, one that was compared. */
const line = (text: string) => [{ display: 'line', runs: [{ text, looks: [] }] }];
const capitals = {
  kind: 'capitals',
  words: 'capitals',
  sentence: 'The title is in capitals throughout.',
  field: 'title',
  fieldWords: 'title',
  reads: 'MOTHS AT LAMPS',
  mend: 'Moths at lamps',
  certain: true,
};
export const bibliography = {
  folder: 'f1',
  name: 'Moths',
  may: 'edit',
  style: { name: 'apa', title: 'APA Style 7th edition', format: 'author-date', checked: false },
  ownStyle: false,
  language: '',
  byHand: false,
  sorted: true,
  missing: [],
  layout: { hangingIndent: true, secondFieldAlign: false, entrySpacing: 0, lineSpacing: 2 },
  count: 2,
  comparedCount: 1,
  faulty: 1,
  certain: 1,
  empty: [],
  annotated: 0,
  toBeRead: 0,
  agreed: 0,
  chapters: ['Lamps'],
  entries: [
    {
      publication: 'p1',
      chapter: '',
      parts: line('Oxlade, MOTHS AT LAMPS'),
      faults: [capitals],
      read: '',
      quoted: [],
    },
    {
      publication: 'p2',
      chapter: 'Lamps',
      parts: line('Berg, Bats'),
      faults: [],
      quoted: [],
      compared: { by: 'Teodor Vance', at: '2026-11-20T10:00:00Z' },
      read: 'text',
    },
  ],
};

/** Of an entry of which nothing is said. */
export const nothingSaid = {
  version: 0,
  text: '',
  paragraphs: [],
  state: 'draft',
  by: '',
  mine: false,
  edits: true,
  writes: true,
  suggests: false,
  remarks: [],
  wordings: [],
};
