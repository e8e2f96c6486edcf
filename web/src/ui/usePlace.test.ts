import { renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { usePlace } from './usePlace';

function place(chosen: number, count = 10) {
  const choose = vi.fn();
  const hook = renderHook(({ at }) => usePlace(at, count, choose), {
    initialProps: { at: chosen },
  });
  return { choose, now: () => hook.result.current, shows: (at: number) => hook.rerender({ at }) };
}

it('counts a key from where the one before it led to', () => {
  const { choose, now, shows } = place(0);
  now().step(1);
  now().step(1);
  expect(now().now()).toBe(2);
  shows(1);
  expect(now().now()).toBe(2);
  now().step(1);
  expect(now().now()).toBe(3);
  shows(2);
  shows(3);
  expect(now().now()).toBe(3);
  expect(choose.mock.calls).toEqual([[1], [2], [3]]);
});

it('believes the page where it comes to something else', () => {
  const { now, shows } = place(0);
  now().go(4);
  shows(7);
  expect(now().now()).toBe(7);
  shows(4);
  expect(now().now()).toBe(4);
});

it('stays inside the list', () => {
  const { choose, now } = place(0, 2);
  now().step(-1);
  now().step(5);
  now().step(1);
  expect(now().now()).toBe(1);
  expect(choose.mock.calls).toEqual([[0], [1], [1]]);
});
