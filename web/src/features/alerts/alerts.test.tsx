import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { covering } from './WhenAndWho';
import { SetAlertDialog } from './SetAlertDialog';
import { FollowFolder, WatchLine } from './WatchAct';

const search = {
  id: 's1',
  name: 'Moths',
  folder: { id: 'f1', name: 'Verges' },
  strategy: strategyOfText('moths'),
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
    'POST /alerts/foreseen': foreseen({ '2026-11': 2, '2026-10': 3, '2026-02': 9 }, 'fine'),
    'GET /folders': [],
    'POST /alerts': { id: 'a1', name: 'Moths', baseline: 40, past: 5 },
  });
  let closed = false;
  showAt(
    '/g/group/x',
    <SetAlertDialog group="group" watch={{ saved: search }} onClose={() => (closed = true)} />,
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
  expect(
    asked
      .filter(({ method, path }) => method === 'POST' && path === '/alerts')
      .map(({ body }) => body),
  ).toEqual([
    {
      search: 's1',
      rhythm: 'daily',
      hour: '05:00',
      asked: 1,
      folder: 'f1',
      tellsWidened: false,
      covers: 'mark',
      past: 2,
      tells: 'new',
    },
  ]);
});

it.each([
  ['much', /That is much to look at/],
  ['little', /Nothing appeared in a year/],
])('says where it would bring too %s, with a way out', async (verdict, words) => {
  serve({ 'POST /alerts/foreseen': foreseen({}, verdict), 'GET /folders': [] });
  showAt(
    '/g/group/x',
    <SetAlertDialog group="group" watch={{ saved: search }} onClose={() => undefined} />,
  );
  expect(await screen.findByText(words)).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Change it on the sheet' })).toHaveAttribute(
    'href',
    '/g/group/search?of=s1',
  );
});

it('saves what it is set on with it, under a name, where keeps go', async () => {
  const asked = serve({
    'POST /alerts/foreseen': foreseen({}, 'fine'),
    'GET /folders': [
      { id: 'f1', name: 'Verges', may: 'edit', closed: false },
      { id: 'f2', name: 'Weirs', may: 'edit', closed: false },
    ],
    'POST /alerts': { id: 'a1', name: 'Citing it', baseline: 4, past: 0 },
  });
  showAt('/g/group/x', <WatchLine name={`Citing ${'x'.repeat(200)}`} line="cites: 10.5555/a" />);
  await userEvent.click(screen.getByText('Set an alert'));
  const name = await screen.findByLabelText('Name of the search and its alert');
  expect((name as HTMLInputElement).value).toHaveLength(100);
  await userEvent.clear(name);
  await userEvent.type(name, 'Citing it');
  await userEvent.selectOptions(screen.getByLabelText(/The search is saved in/), 'Weirs');
  await userEvent.click(screen.getByRole('button', { name: 'Set alert' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(asked.find(({ path }) => path === '/alerts')?.body).toMatchObject({
    saving: { name: 'Citing it', strategy: strategyOfText('cites: 10.5555/a') },
    folder: 'f2',
  });
});

it('follows a folder in one of two ways, each with its own year before it is set', async () => {
  const asked = serve({
    'POST /alerts/foreseen': foreseen({ '2026-11': 2 }, 'fine'),
    'GET /folders': [{ id: 'f1', name: 'Verges', may: 'edit', closed: false, pile: false }],
    'POST /alerts': { id: 'a1', name: 'Changes', tells: 'changes', baseline: 3, past: 0 },
  });
  showAt('/g/group/x', <FollowFolder folder="f1" name="Verges" />);
  await userEvent.click(screen.getByRole('button', { name: 'Follow it' }));
  expect(await screen.findByText(/by when each appeared/)).toBeInTheDocument();
  expect(screen.getByLabelText(/Name of the search/)).toHaveValue('Citing Verges');
  await userEvent.click(screen.getByLabelText(/^What changes here/));
  expect(await screen.findByText(/by when each changed/)).toBeInTheDocument();
  expect(screen.getByText(/2 changes/)).toBeInTheDocument();
  expect(screen.queryByLabelText('What is here already')).toBeNull();
  expect(screen.getByLabelText(/Name of the search/)).toHaveValue('Changes in Verges');
  await userEvent.click(screen.getByRole('button', { name: 'Set alert' }));
  await waitFor(() =>
    expect(
      asked.find(({ method, path }) => method === 'POST' && path === '/alerts')?.body,
    ).toMatchObject({
      tells: 'changes',
      saving: {
        name: 'Changes in Verges',
        strategy: { lines: [{ kind: 'held', strategies: ['k:f1'] }] },
      },
    }),
  );
});

it.each([
  ['1', 'apart', 'verdict'],
  ['2', 'apart', 'apart'],
  ['1', 'mark', 'mark'],
])('it takes two to decide apart: %s, %s', (asked, covers, expected) => {
  expect(covering(asked, covers)).toBe(expected);
});
