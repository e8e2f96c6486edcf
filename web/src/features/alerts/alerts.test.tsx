import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { FeedOfAlert } from './FeedOfAlert';
import { SetAlertDialog } from './SetAlertDialog';

const search = {
  id: 's1',
  name: 'Moths',
  folder: { id: 'f1', name: 'Verges' },
} as Schema['SavedSearch'];

const MONTHS = ['2025-12', ...Array.from({ length: 11 }, (_, n) => `2026-${n + 1}`)].map(
  (month) => ({ month: month.replace(/-(\d)$/, '-0$1'), count: 0, titles: [] as unknown[] }),
);

function foreseen(counts: Record<string, number>, verdict: string) {
  return {
    found: 40,
    months: MONTHS.map((one) => ({
      ...one,
      count: counts[one.month] ?? 0,
      titles: counts[one.month] ? [{ id: 'p1', title: `A work of ${one.month}` }] : [],
    })),
    yearOnly: 3,
    aWeek: 0,
    verdict,
  };
}

it('shows a year before it is set, and takes as much of the past as it showed', async () => {
  const asked = serve({
    'GET /searches/s1/foreseen': foreseen({ '2026-11': 2, '2026-10': 3, '2026-02': 9 }, 'fine'),
    'GET /folders': [],
    'POST /alerts': { id: 'a1', name: 'Moths', baseline: 40, past: 5 },
  });
  let closed = false;
  showAt(
    '/g/group/x',
    <SetAlertDialog group="group" search={search} onClose={() => (closed = true)} />,
  );
  expect(await screen.findByText('A work of 2026-11')).toBeInTheDocument();
  expect(screen.getByText(/14 publications, less than one a week/)).toBeInTheDocument();
  expect(screen.getByText(/3 more of this year and the last without a month/)).toBeInTheDocument();
  await userEvent.selectOptions(
    screen.getByLabelText('What is here already'),
    '5 publications of the last 2 months as the first round',
  );
  await userEvent.dblClick(screen.getByRole('button', { name: 'Set alert' }));
  await waitFor(() => expect(closed).toBe(true));
  expect(asked.filter(({ method }) => method === 'POST').map(({ body }) => body)).toEqual([
    { search: 's1', rhythm: 'daily', hour: '05:00', asked: 1, folder: 'f1', past: 2 },
  ]);
});

it.each([
  ['much', /That is much to look at/],
  ['little', /Nothing appeared in a year/],
])('says where it would bring too %s, with a way out', async (verdict, words) => {
  serve({ 'GET /searches/s1/foreseen': foreseen({}, verdict), 'GET /folders': [] });
  showAt('/g/group/x', <SetAlertDialog group="group" search={search} onClose={() => undefined} />);
  expect(await screen.findByText(words)).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Change it on the sheet' })).toHaveAttribute(
    'href',
    '/g/group/search?of=s1',
  );
});

it('gives the address of a feed in the form that a reader asks for', async () => {
  serve({
    'GET /feeds': [{ id: 'e1', alert: 'a1', address: 'http://lantern.test/feed/e1/x.atom' }],
  });
  showAt('/g/group/x', <FeedOfAlert group="group" alert="a1" />);
  const address = await screen.findByLabelText('Address of my feed');
  expect(address).toHaveValue('http://lantern.test/feed/e1/x.atom');
  await userEvent.selectOptions(screen.getByLabelText('As'), 'JSON Feed');
  expect(address).toHaveValue('http://lantern.test/feed/e1/x.json');
});
