import { expect, it } from 'vitest';
import { keptSentence } from './api';

const kept = {
  folderId: 'x',
  folder: 'Verges',
  publications: 1,
  added: 1,
  already: false,
  keeper: 'Ilse',
  elsewhere: [],
};

it.each([
  [kept, 'Kept in Verges.'],
  [{ ...kept, already: true }, 'Already in Verges, kept by Ilse.'],
  [{ ...kept, publications: 5, added: 5 }, '5 publications kept in Verges.'],
  [{ ...kept, publications: 5, added: 3 }, '3 publications kept in Verges; 2 were already there.'],
  [{ ...kept, elsewhere: ['Bats', 'Theses'] }, 'Kept in Verges. Also in Bats, Theses.'],
])('what a keep came to', (what, sentence) => expect(keptSentence(what)).toBe(sentence));
