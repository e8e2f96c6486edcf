import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { linesOf } from './WhoIsIt';
import { WatchAuthors } from './WatchAuthors';

const person = (name: string, orcid: string, works: number) => ({
  name,
  orcid,
  line: `"${orcid || name}"`,
  works,
  affiliations: [],
  titles: [`A work by ${name}`],
});
const ANNA = person('Anna Oxlade', '0000-0001', 12);
const SHORT = person('A. Oxlade', '', 3);
const OTHER = person('A. Oxlade', '0000-0002', 2);

it('finds who is the same, and not another whom a name would find, too', () => {
  const texts = (same: string[]) =>
    linesOf(ANNA, [SHORT, OTHER], new Set(same)).map(({ text }) => text);
  expect(texts([])).toEqual(['author: ("0000-0001")']);
  expect(texts([SHORT.line])).toEqual([
    'author: ("0000-0001" or "A. Oxlade")',
    'not author: "0000-0002"',
  ]);
  expect(texts([SHORT.line, OTHER.line])).toEqual([
    'author: ("0000-0001" or "A. Oxlade" or "0000-0002")',
  ]);
});

it('asks who is meant before an alert on an author is set', async () => {
  const asked = serve({
    'GET /publications/p1/authors/1': {
      name: 'Anna Oxlade',
      people: [ANNA, SHORT],
      looked: 500,
      found: 700,
    },
    'GET /folders': [],
  });
  showAt('/g/group/x', <WatchAuthors publication="p1" names={['Bo Wei', 'Anna Oxlade']} />);
  await userEvent.click(screen.getByText('Set an alert on an author'));
  await userEvent.click(screen.getByText('Anna Oxlade'));
  expect(await screen.findByText(/Looked at 500 of 700 works/)).toBeVisible();
  expect(screen.getByText(/ORCID 0000-0001 · 12 works/)).toBeVisible();
  await userEvent.click(screen.getByRole('checkbox', { name: /A. Oxlade without an ORCID/ }));
  await userEvent.click(screen.getByText('Go on'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === '/alerts/foreseen')?.body).toMatchObject({
      strategy: { lines: [{ text: 'author: ("0000-0001" or "A. Oxlade")' }] },
    }),
  );
  expect(screen.getByLabelText('Name of the search and its alert')).toHaveValue('By Anna Oxlade');
});
