import { expect, it } from 'vitest';
import { beginning, chapterOf, cited, meant } from './chapters';

const part = (title: string, page: number, level = 1, kind = 'section') => ({
  kind,
  level,
  title,
  page,
  anchor: '',
});
const PARTS = [
  part('Dusk', 0),
  part('Lamps', 1, 2),
  part('Figure 1', 2, 1, 'figure'),
  part('Moths', 3),
  part('Bats', 3),
];
const LABELS = ['iv', '1', '2', '3', '4'];

it('knows chapters of books with their printed pages, and nothing of the kind elsewhere', () => {
  const of = (at: number) => chapterOf('book', PARTS, at, LABELS);
  expect(of(0)).toEqual({ title: 'Dusk', pages: { from: 'iv', to: '2' } });
  expect(of(1)).toBeUndefined();
  expect(of(2)).toBeUndefined();
  expect(of(3)).toEqual({ title: 'Moths', pages: { from: '3', to: '3' } });
  expect(of(4)).toEqual({ title: 'Bats', pages: { from: '3', to: '4' } });
  expect(chapterOf('article', PARTS, 0, LABELS)).toBeUndefined();
  expect(chapterOf('book', PARTS, 0, [''])).toEqual({ title: 'Dusk' });
  expect(chapterOf('book', [], 0, LABELS)).toBeUndefined();
});

it('knows chapters below the title of the whole', () => {
  const parts = [part('Night', 0), part('Dusk', 0, 2), part('Lamps', 0, 3), part('Moths', 0, 2)];
  expect(beginning(parts, 2)).toBe(1);
  expect(beginning(parts, 0)).toBe(-1);
  expect(beginning([], 0)).toBe(-1);
  expect(chapterOf('book', parts, 1, [''])).toEqual({ title: 'Dusk' });
  expect(chapterOf('book', parts, 0, [''])).toBeUndefined();
});

it('cites a chapter in its work, and names it where it is kept', () => {
  const chapter = { title: 'Dusk', pages: { from: '12', to: '30' } };
  expect(cited(chapter, 'Sey (2024). Night.')).toBe('“Dusk”, pp. 12–30. In: Sey (2024). Night.');
  expect(meant({ ...chapter, pages: { from: '12', to: '12' } })).toBe('“Dusk”, p. 12');
  expect(cited({ title: 'Dusk' }, 'Sey (2024). Night.')).toBe('“Dusk”. In: Sey (2024). Night.');
});
