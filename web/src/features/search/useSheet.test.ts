import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import {
  limitText,
  sameLines,
  shortText,
  strategyOf,
  strategyOfText,
  type Line,
} from '../strategy';
import { useSheet } from './useSheet';

const MOTHS: Line = { id: 'm', kind: 'words', text: 'moths' };
const BATS: Line = { id: 'b', kind: 'words', text: 'bats' };

function sheet(...lines: Line[]) {
  const { result } = renderHook(() => useSheet(() => lines));
  return {
    do: (change: (now: typeof result.current) => unknown) => act(() => void change(result.current)),
    texts: () => result.current.lines.map((line) => line.text ?? limitText(line)),
    now: () => result.current,
  };
}

describe('the lines of a sheet', () => {
  it('always end with an empty one', () => {
    const s = sheet();
    expect(s.texts()).toEqual(['']);
    s.do((now) => now.type(now.lines[0]?.id ?? '', 'moths'));
    expect(s.texts()).toEqual(['moths', '']);
    expect(strategyOf(s.now().lines).lines).toHaveLength(1);
  });

  it('move, but never below the empty one', () => {
    const s = sheet(MOTHS, BATS);
    s.do((now) => now.move('m', 1));
    expect(s.texts()).toEqual(['bats', 'moths', '']);
    s.do((now) => now.move('m', 1));
    expect(s.texts()).toEqual(['bats', 'moths', '']);
  });

  it('can be switched off and struck, and everything can be undone and redone', () => {
    const s = sheet(MOTHS, BATS);
    s.do((now) => now.toggle('m'));
    s.do((now) => now.strike('b'));
    s.do((now) => now.limit({ property: 'kind', chosen: ['article'] }));
    expect(s.texts()).toEqual(['moths', 'article', '']);
    s.do((now) => now.undo());
    s.do((now) => now.undo());
    expect(s.texts()).toEqual(['moths', 'bats', '']);
    expect(s.now().lines[0]?.off).toBe(true);
    s.do((now) => now.redo());
    expect(s.texts()).toEqual(['moths', '']);
    s.do((now) => now.undo());
    s.do((now) => now.undo());
    expect(s.now().mayUndo).toBe(false);
    expect(s.now().lines[0]?.off).toBeUndefined();
  });

  it('take typing in one line back as one change', () => {
    const s = sheet(MOTHS);
    for (const text of ['moths o', 'moths or', 'moths or bats']) s.do((now) => now.type('m', text));
    s.do((now) => now.undo());
    expect(s.texts()).toEqual(['moths', '']);
  });

  it('keep what names of headings meant while a line is edited', () => {
    const s = sheet({ ...MOTHS, text: 'heading/exact: Moths', means: { moths: 'urn:m' } });
    s.do((now) => now.type('m', 'heading/exact: Moths or bats'));
    expect(s.now().lines[0]?.means).toEqual({ moths: 'urn:m' });
  });

  it('have one limit a property; one that asks for nothing goes', () => {
    const s = sheet(MOTHS);
    s.do((now) => now.limit({ property: 'date', from: '2016' }));
    s.do((now) => now.limit({ property: 'date', from: '2018', to: null }));
    expect(s.texts()).toEqual(['moths', 'from 2018', '']);
    s.do((now) => now.add([{ kind: 'limit', property: 'date', last: 5 }]));
    expect(s.texts()).toEqual(['moths', 'this year and the 5 before it', '']);
    s.do((now) => now.limit({ property: 'date' }));
    expect(s.texts()).toEqual(['moths', '']);
  });
});

describe('limits in words', () => {
  const limit = (line: Partial<Line>) => limitText({ id: 'l', kind: 'limit', ...line });
  it.each([
    [{ property: 'date', from: '2016', to: '2026' }, '2016 to 2026'],
    [{ property: 'pages', to: '9', chosen: ['unknown'] }, 'up to 9 pages or unknown'],
    [{ property: 'taxon', chosen: ['Bats', 'Moths'], all: true }, 'Bats and Moths'],
    [{ property: 'language', ruledOut: ['de', 'fr'] }, 'not German, not French'],
    [{ property: 'kind', chosen: ['article'], ruledOut: ['letter'] }, 'article, but not letter'],
    [{ property: 'abstract', chosen: ['yes'] }, 'with abstract'],
    [{ property: 'kind' }, 'nothing chosen'],
  ])('%j', (line, text) => expect(limit(line)).toBe(text));

  it('sources are called by their names', () => {
    expect(
      limitText({ id: 'l', kind: 'limit', property: 'source', chosen: ['x', 'y'] }, { x: 'Night' }),
    ).toBe('Night or y');
  });

  it('a strategy in few words leaves out what is off', () => {
    const strategy = strategyOf([MOTHS, { ...BATS, off: true }]);
    expect(shortText(strategy)).toBe('moths');
    expect(sameLines(strategy, strategyOfText('moths'))).toBe(false);
  });
});
