import { act, renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { useSteady } from './useSteady';

type Listed = Schema['ArrivalListed'];

const listed = (id: string, round = 'r1') =>
  ({
    arrival: { id, lamps: [{ member: 'me', lamp: 'unlit' }] },
    round: { id: round },
  }) as unknown as Listed;

function show(...first: Listed[]) {
  const { result, rerender } = renderHook(({ all }) => useSteady(all, 'me'), {
    initialProps: { all: first },
  });
  return {
    now: () => result.current,
    ids: () => result.current.entries.map(({ arrival }) => arrival.id),
    gone: () => result.current.entries.map((one) => result.current.isGone(one)),
    comes: (...all: Listed[]) => rerender({ all }),
  };
}

it('leaves what is gone in its place, and puts what is new behind the rest', () => {
  const list = show(listed('a'), listed('b'), listed('c'));
  list.comes(listed('new'), listed('a'), listed('c'));
  expect(list.ids()).toEqual(['a', 'b', 'c', 'new']);
  expect(list.gone()).toEqual([false, true, false, false]);
  list.comes(listed('b'), listed('a'));
  expect(list.ids()).toEqual(['a', 'b', 'c', 'new']);
  expect(list.gone()).toEqual([false, false, true, true]);
});

it('shows what left by an act of the member with the lamp that they lit', () => {
  const list = show(listed('a'), listed('b'), listed('c'));
  const [a, b] = list.now().entries;
  act(() => {
    if (a) list.now().said(a, { mark: 'pass', reason: '' });
    if (b) list.now().said(b, { mark: 'hold', reason: '' });
  });
  list.comes(listed('c'));
  expect(list.now().entries.map(({ arrival }) => arrival.lamps[0]?.lamp)).toEqual([
    'lit',
    'dim',
    'unlit',
  ]);
  expect(list.now().entries[0]?.arrival.lamps[0]?.mark).toBe('pass');
});

it('shows once what two pages have, and twice what stands in two rounds', () => {
  const list = show(listed('a'), listed('a'), listed('a', 'r2'));
  expect(list.ids()).toEqual(['a', 'a']);
});
