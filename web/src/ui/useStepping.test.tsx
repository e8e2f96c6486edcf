import { act, renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { useStepping } from './useStepping';

it('counts a second key from where the first one led to, before the page has followed', () => {
  const choose = vi.fn();
  const { result, rerender } = renderHook(({ chosen }) => useStepping(chosen, 4, choose), {
    initialProps: { chosen: 0 },
  });
  act(() => {
    result.current(1);
    result.current(1);
  });
  expect(choose.mock.calls).toEqual([[1], [2]]);
  rerender({ chosen: 2 });
  act(() => {
    result.current(5);
    result.current(-9);
  });
  expect(choose.mock.calls.slice(2)).toEqual([[3], [0]]);
});
