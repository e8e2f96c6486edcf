import { expect, it } from 'vitest';
import { owedIn } from './api';

const round = {
  id: 'r',
  alert: 'a',
  alertName: 'Moths',
  n: 1,
  opens: '2026-11-17T07:00:00Z',
  arrivals: 5,
  asked: 1,
  covers: 'mark',
  reviewed: { me: 2, late: 1 },
  shares: { me: 5, late: 2 },
  covered: 0,
  nobody: 0,
};

it('owes what was not reviewed; a guest, who is not counted, nothing', () => {
  expect(owedIn(round, 'me')).toBe(3);
  // What came before one joined is not one's own.
  expect(owedIn(round, 'late')).toBe(1);
  expect(owedIn(round, 'guest')).toBe(0);
});
