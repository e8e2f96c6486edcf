import { expect, it } from 'vitest';
import { RHYTHMS, rhythmInWords } from './rhythm';

it.each([
  ['at-once', 'as soon as something comes'],
  ['daily', 'every day at 05:00'],
  ['weekly:MONDAY', 'every Monday at 05:00'],
  ['weekly:MONDAY,THURSDAY', 'every Monday and Thursday at 05:00'],
  ['monthly:31', 'monthly, on day 31 at 05:00'],
])('%s in words', (rhythm, words) => {
  expect(rhythmInWords(rhythm, '05:00:00')).toBe(words);
});

it('offers no rhythm twice', () => {
  expect(new Set(RHYTHMS.map(([value]) => value)).size).toBe(RHYTHMS.length);
});
