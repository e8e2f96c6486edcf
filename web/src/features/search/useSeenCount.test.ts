import { renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Line } from '../strategy';
import { useSeenCount } from './useSeenCount';

const words = (id: string, text: string): Line => ({ id, kind: 'words', text });
const KIND: Line = { id: 'k', kind: 'limit', property: 'kind', chosen: ['article'] };

/** Shows counts of lines one after the other, and tells what each is compared with. */
function counts() {
  const { result, rerender } = renderHook(
    ({ lines, count, settled }: { lines: Line[]; count: number | undefined; settled: boolean }) =>
      useSeenCount({ version: 2, lines }, count, settled),
    {
      initialProps: { lines: [] as Line[], count: undefined as number | undefined, settled: false },
    },
  );
  return (count: number | undefined, settled: boolean, ...lines: Line[]) => {
    rerender({ lines, count, settled });
    return result.current;
  };
}

it('compares with what was there before the first letter, however slowly a line is typed', () => {
  const show = counts();
  expect(show(428, false, words('a', 'moth*'))).toBeUndefined();
  expect(show(428, true, words('a', 'moth*'))).toBeUndefined();
  expect(show(0, false, words('a', 'moth*'), words('b', 'dim'))).toBe(428);
  expect(show(undefined, false, words('a', 'moth*'), words('b', 'dimm'))).toBe(428);
  expect(show(31, false, words('a', 'moth*'), words('b', 'dimming'))).toBe(428);
  // Records came in.
  expect(show(32, false, words('a', 'moth*'), words('b', 'dimming'))).toBe(428);
});

it('compares the same line again once it was settled, and each act with what it changed', () => {
  const show = counts();
  show(428, true, words('a', 'moth*'));
  show(31, true, words('a', 'moth*'), words('b', 'dimming'));
  expect(show(50, false, words('a', 'moth*'), words('b', 'dimming or glare'))).toBe(31);
  expect(show(20, false, words('a', 'moth*'), words('b', 'dimming or glare'), KIND)).toBe(50);
  expect(show(50, false, words('a', 'moth*'), words('b', 'dimming or glare'))).toBe(20);
  expect(show(90, false, words('b', 'dimming or glare'))).toBe(50);
});

it('compares one line with the other where both are typed without a pause', () => {
  const show = counts();
  show(0, false, words('a', 'mot'));
  show(428, false, words('a', 'moth'));
  expect(show(2, false, words('a', 'moth'), words('b', 'd'))).toBe(428);
  expect(show(31, false, words('a', 'moth'), words('b', 'dimming'))).toBe(428);
  expect(show(40, false, words('a', 'moths'), words('b', 'dimming'))).toBe(31);
});
