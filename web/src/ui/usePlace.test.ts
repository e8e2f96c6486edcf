import { renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { usePlace } from './usePlace';

function place(chosen: number, count = 10, named: string | null = '') {
  const choose = vi.fn();
  const hook = renderHook(({ at, name }) => usePlace(at, count, choose, name), {
    initialProps: { at: chosen, name: named },
  });
  return {
    choose,
    now: () => hook.result.current,
    shows: (at: number, name: string | null = `row ${at}`) => hook.rerender({ at, name }),
  };
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

it('knows a row that somebody came to, also while the page still shows one before it', () => {
  const { now, shows } = place(0, 10, null);
  expect(now().isMeant()).toBe(false);
  now().step(1);
  now().step(1);
  shows(1);
  expect(now().now()).toBe(2);
  expect(now().isMeant()).toBe(true);
  shows(2);
  expect(now().isMeant()).toBe(true);
  shows(0, null);
  expect(now().isMeant()).toBe(false);
});

it('takes the row that nobody chose for meant once somebody goes there', () => {
  const { now, shows } = place(0, 10, null);
  now().go(0);
  expect(now().isMeant()).toBe(true);
  shows(0, 'row 0');
  expect(now().isMeant()).toBe(true);
  shows(0, null);
  expect(now().isMeant()).toBe(false);
});
