import { beforeEach, expect, it } from 'vitest';
import {
  headingText,
  presentSheet,
  rememberSheet,
  sheetHolding,
  sheetLimited,
  sheetWith,
} from './present';

beforeEach(() => sessionStorage.clear());

it('writes a heading as it is asked for', () => {
  expect(headingText('Bats')).toBe('heading/exact: "Bats"');
  expect(headingText('Bats', ['narrower', 'central'])).toBe('heading/narrower/central: "Bats"');
  expect(headingText('The “dark”')).toBe('heading/exact: "The  dark "');
});

it('begins a sheet of its own, or joins the one that is there', () => {
  expect(sheetWith('g1', 'bats & owls')).toBe('/g/g1/search?add=bats+%26+owls');
  expect(sheetWith('g1', 'bats', { joined: true })).toBe('/g/g1/search?add=bats');
  rememberSheet('g1', 'abc');
  expect(presentSheet('g2')).toBeNull();
  expect(sheetWith('g1', 'bats', { joined: true, off: true })).toBe(
    '/g/g1/search?add=bats&with=abc&off=1',
  );
  expect(sheetWith('g1', 'bats')).toBe('/g/g1/search?add=bats');
  expect(sheetHolding('g1', 'q:xyz', true)).toBe('/g/g1/search?hold=q%3Axyz&with=abc');
  expect(sheetLimited('g1', 'journal', ['Lamp & Land', 'Lamp'])).toBe(
    '/g/g1/search?limit=journal&only=Lamp+%26+Land&only=Lamp',
  );
  expect(sheetLimited('g1', 'source', ['index'], true)).toBe(
    '/g/g1/search?limit=source&only=index&with=abc',
  );
});
