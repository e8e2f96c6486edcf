import { expect, it } from 'vitest';
import { decidedApart, type Entry } from './occasions';

const entry = (apart: number, marks: Record<string, string>) =>
  ({
    arrival: {
      lamps: ['me', 'ben', 'cay'].map((member) => ({ member, lamp: 'lit', mark: marks[member] })),
    },
    round: { apart },
  }) as never as Entry;

it.each([
  [2, {}, 2],
  [2, { me: 'keep', ben: 'seen' }, 2],
  [2, { me: 'keep', ben: 'pass' }, 0],
  [2, { ben: 'raise' }, 0],
  [0, { me: 'keep' }, 0],
])('%d apart with %j: %d', (apart, marks, expected) => {
  expect(decidedApart(entry(apart, marks), 'me')).toBe(expected);
});
