import { describe, expect, it } from 'vitest';
import { insertion, wordAt, written } from './suggested';

const heading = { property: 'heading', value: 'Street lighting', count: 3 };

describe('what is being typed', () => {
  it.each([
    ['moths or stre', 13, 'stre'],
    ['moths or stre', 4, ''],
    ['moths or', 8, ''],
    ['title: (stre', 12, 'stre'],
    ['"street li', 10, 'li'],
    ['street ', 7, ''],
  ])('%s at %i', (text, caret, word) => expect(wordAt(text, caret)).toBe(word));
});

describe('taking a suggestion', () => {
  it('puts it in its field in the place of what was typed', () => {
    expect(insertion('moths or stre', 'stre', heading)).toBe(
      'moths or heading/exact: "Street lighting"',
    );
    expect(insertion('heading: stre', 'stre', heading)).toBe('heading/exact: "Street lighting"');
    expect(insertion('bats heading/narrower/central: "stre', 'stre', heading)).toBe(
      'bats heading/narrower/central: "Street lighting"',
    );
  });

  it('writes authors as they are spoken', () => {
    expect(written({ property: 'author', value: 'Oduya, Maren' })).toBe('author: "Maren Oduya"');
  });
});
