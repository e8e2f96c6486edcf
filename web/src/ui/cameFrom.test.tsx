import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { leaving, neighboursOf } from './cameFrom';

const list = (ids: string[], which: string) => (
  <div {...leaving(ids)}>
    <a href={`/g/group/p/${which}/text`}>title</a>
  </div>
);

beforeEach(() => sessionStorage.clear());

it('knows the neighbours of what was opened from a list, and of those', () => {
  expect(neighboursOf('b')).toBeUndefined();
  render(list(['a', 'b', 'c'], 'b'));
  fireEvent.click(screen.getByText('title'));
  expect(neighboursOf('b')).toEqual({ at: 1, all: 3, former: 'a', next: 'c' });
  expect(neighboursOf('a')).toEqual({ at: 0, all: 3, next: 'b' });
  expect(neighboursOf('elsewhere')).toBeUndefined();
});

it('remembers of a long list what is around, and counts all of it', () => {
  const ids = Array.from({ length: 100_000 }, (_, n) => `id${n}`);
  render(list(ids, 'id50000'));
  fireEvent.click(screen.getByText('title'));
  expect(neighboursOf('id50001')).toEqual({
    at: 50_001,
    all: 100_000,
    former: 'id50000',
    next: 'id50002',
  });
});

it('leaves what it knows when something else is pressed', () => {
  render(list(['a', 'b'], 'a'));
  fireEvent.click(screen.getByText('title'));
  render(<div {...leaving(['x', 'y'])}>nothing</div>);
  fireEvent.click(screen.getByText('nothing'));
  expect(neighboursOf('a')?.all).toBe(2);
});
