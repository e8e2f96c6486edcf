import { render, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Schema } from '../../api';
import { Details } from './Details';

const LEAF = {
  publication: { published: '2024-03' },
  people: [
    { name: 'Maren Oduya', role: 'author', orcid: '', affiliations: [] },
    {
      name: 'Ola Sey',
      role: 'editor',
      orcid: '0000-0002-1825-0097',
      affiliations: ['Harrow Fen College'],
    },
  ],
  numbers: [
    { scheme: 'doi', value: '10.5555/a', address: 'https://names.example/10.5555/a' },
    { scheme: 'isbn', value: '9780306406157' },
  ],
  issued: '2025',
  language: 'en',
} as unknown as Schema['Leaf'];

test('people of whom more than a name is known, numbers that lead, and which date counts', () => {
  render(<Details leaf={LEAF} />);
  expect(screen.queryByText(/Maren Oduya/)).toBeNull();
  expect(screen.getByText(/Ola Sey/).textContent).toContain('editor Harrow Fen College');
  expect(screen.getByRole('link', { name: '10.5555/a' }).getAttribute('href')).toBe(
    'https://names.example/10.5555/a',
  );
  expect(screen.queryByRole('link', { name: '9780306406157' })).toBeNull();
  expect(screen.getByText(/first appeared/).parentElement?.textContent).toContain('2024-03');
  expect(screen.getByText(/in this place/).parentElement?.textContent).toContain('2025');
});
