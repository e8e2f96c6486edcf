import { expect, test } from 'vitest';
import { learnedFrom, likeWhatWasKept } from './because';

test('says what of a work was kept before', () => {
  expect(
    likeWhatWasKept([
      { kind: 'heading', what: 'Part-night lighting' },
      { kind: 'author', what: 'Ada Oxlade' },
      { kind: 'reference', what: 'Moths at lamps' },
      { kind: 'journal', what: 'Annals of Verges' },
      { kind: 'word', what: 'dimming' },
    ]),
  ).toBe(
    'Part-night lighting, by Ada Oxlade, citing “Moths at lamps”, in Annals of Verges, “dimming”',
  );
  expect(likeWhatWasKept([])).toBe('');
});

test('says from what the order is learned, and when there is too little', () => {
  expect(learnedFrom({ kept: 1204, passed: 10, fewest: 10 })).toBe(
    'Learned from 1,204 kept and 10 passed until last night; for today it stays so.',
  );
  expect(learnedFrom({ kept: 30, passed: 9, fewest: 10 })).toContain('takes 10 of each');
});
