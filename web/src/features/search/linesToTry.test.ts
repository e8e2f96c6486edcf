import { expect, it } from 'vitest';
import { linesToTry } from './linesToTry';

const texts = (headings: string[]) => linesToTry(false, headings, 2026).map(([line]) => line);

it('offers lines of what is here, whatever that is', () => {
  expect(texts([])).toEqual(['kind: review year: 2021-', 'not kind: review']);
  expect(texts(['Moths', 'Street "lights"'])).toEqual([
    'moths',
    '"Moths" or "Street lights"',
    'heading: "Moths"',
    'kind: review year: 2021-',
    'not kind: review',
  ]);
  expect(linesToTry(true, [], 2026)[0]?.[0]).toBe('dimming moths');
});
