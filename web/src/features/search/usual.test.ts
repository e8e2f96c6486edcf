import { expect, it } from 'vitest';
import { strategyOf, type Line } from '../strategy';
import { isJust, opened } from './usual';

const LIMIT: Line = { id: 'u1', kind: 'limit', property: 'kind', chosen: ['article'] };
const WORDS: Line = { id: 'w1', kind: 'words', text: 'moth' };

it('asks for words before what every new sheet has', () => {
  const lines = opened([LIMIT], [LIMIT]);
  expect(lines.map((line) => line.kind)).toEqual(['words', 'limit']);
  expect(strategyOf(lines).lines).toEqual([LIMIT]);
  expect(isJust(lines, [LIMIT])).toBe(true);
});

it('leaves every other sheet as it is', () => {
  expect(opened([WORDS, LIMIT], [LIMIT])).toEqual([WORDS, LIMIT]);
  expect(opened([], [])).toEqual([]);
  expect(isJust([], [])).toBe(false);
});
