import { expect, test } from 'vitest';
import { dayFrom, daysBetween, nameOf, wayTo } from './span';

const ROW = {
  name: 'Gentler lighting',
  from: '2026-11-17',
  to: '2026-11-24',
  rounds: 1,
  arrivals: 8,
  reviewed: {},
  shares: {},
  covered: 0,
  nobody: 8,
};

test('days go over months, years and the change of clocks', () => {
  expect(dayFrom('2026-10-24', 1)).toBe('2026-10-25');
  expect(dayFrom('2026-10-25', 1)).toBe('2026-10-26');
  expect(dayFrom('2026-01-01', -1)).toBe('2025-12-31');
  expect(dayFrom('2028-02-28', 1)).toBe('2028-02-29');
  expect(daysBetween('2026-10-25', '2026-11-24')).toBe(31);
  expect(daysBetween('2026-11-24', '2026-11-24')).toBe(1);
});

const MONTH = { by: 'round', from: '2026-10-25', to: '2026-11-24' };

test('a cell leads to what is left in the round, and of several rounds to these', () => {
  const round = { ...ROW, round: 'r1', alert: 'a1' };
  expect(wayTo('g', round, MONTH, '', 'maren')).toBe('/g/g/r/r1?left=maren');
  expect(wayTo('g', round, MONTH, '')).toBe('/g/g/r/r1');
  const week = { ...ROW, name: '' };
  expect(wayTo('g', week, { ...MONTH, by: 'week' }, '', 'maren')).toBe(
    '/g/g/board?from=2026-11-17&to=2026-11-24',
  );
  expect(wayTo('g', week, { ...MONTH, by: 'week' }, 'a1')).toBe(
    '/g/g/board?from=2026-11-17&to=2026-11-24&alert=a1',
  );
  expect(wayTo('g', { ...ROW, alert: 'a1' }, { ...MONTH, by: 'alert' }, '')).toBe(
    '/g/g/board?from=2026-10-25&to=2026-11-24&alert=a1',
  );
});

test('a row is called by its alert, or by its week', () => {
  expect(nameOf(ROW)).toBe('Gentler lighting, 17 Nov to 24 Nov');
  expect(nameOf({ ...ROW, name: '' })).toBe('Week of 17 Nov to 24 Nov');
  expect(nameOf({ ...ROW, to: null })).toBe('Gentler lighting, since 17 Nov, gathering');
});
