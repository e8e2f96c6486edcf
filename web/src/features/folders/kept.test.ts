import { expect, it } from 'vitest';
import { keptSentence } from './api';

const kept = { folderId: 'x', folder: 'Verges', already: false, keeper: 'Ilse', elsewhere: [] };

it.each([
  [kept, 'Kept in Verges.'],
  [{ ...kept, already: true }, 'Already in Verges, kept by Ilse.'],
  [{ ...kept, elsewhere: ['Bats', 'Theses'] }, 'Kept in Verges. Also in Bats, Theses.'],
])('what a keep came to', (what, sentence) => expect(keptSentence(what)).toBe(sentence));
