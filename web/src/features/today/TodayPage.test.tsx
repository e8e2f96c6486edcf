import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { TodayPage } from '.';

afterEach(() => vi.unstubAllGlobals());

const NOTHING: Schema['WaitsFor'] = {
  arrivals: [],
  raised: [],
  mentions: [],
  copies: [],
  changed: [],
  annotations: [],
  drive: [],
  more: false,
};
const month = Array.from({ length: 31 }, (_, at) => ({
  day: new Date(Date.UTC(2026, 9, 25 + at)).toISOString().slice(0, 10),
  came: at === 29 ? 12 : 0,
  lit: at === 29 ? 3 : 0,
}));

const sent = (at: string, to: string) => ({
  id: at,
  name: 'Verges',
  works: 5,
  file: '',
  at,
  letters: [
    { to, state: 'given up', trouble: '550 nobody of that name' },
    { to: 'b@x.example', state: 'sent', trouble: null },
  ],
});

function open(
  waits: Schema['WaitsFor'],
  troubles: unknown[] = [],
  tasks: unknown[] = [],
  mine = 0,
) {
  const asked = serve({
    'GET /today': waits,
    'GET /arrivals': {
      owed: 0,
      nobody: 0,
      raised: 0,
      readable: 3,
      mine,
      waiting: 0,
      unsure: 0,
      disputed: 0,
    },
    'GET /today/month': month,
    'GET /today/done': { since: '2026-11-20T10:00:00Z', lines: [], more: false },
    'GET /tasks': { tasks, open: tasks.length, mine: tasks.length, nobodys: 0, ended: 0 },
    'GET /questions': { questions: [], waiting: 0, open: 0, ended: 0 },
    'GET /searches/to-check': [],
    'PUT /visit': {},
    'GET /troubles': troubles,
    'GET /sendings': [
      sent('2026-11-22T08:00:00Z', 'a@x.example'),
      sent('2026-10-22T08:00:00Z', 'old@x.example'),
    ].slice(0, tasks.length * 2),
    'PUT /remarks/r1/looked-at': {},
  });
  showAt('/g/group/today', <TodayPage />);
  return asked;
}

it('is quiet when nothing waits, and says since when', async () => {
  open(NOTHING);
  expect(await screen.findByText('12 arrivals since 20 November 2026')).toBeInTheDocument();
  expect(screen.getByText('Nothing waits for you.')).toBeInTheDocument();
  expect(screen.getByText('Nobody did anything here.')).toBeInTheDocument();
  expect(screen.getByText('23 Nov: 12 arrivals, 3 looked at')).toBeInTheDocument();
});

it('leads to what waits, and lets a mention wait no more', async () => {
  const publication = { id: 'p1', title: 'Verge lighting' };
  const asked = open(
    {
      ...NOTHING,
      arrivals: [{ alert: 'a1', name: 'Bats', rounds: 2, owed: 7, nobody: 3, round: 'r9' }],
      mentions: [
        { remark: 'r1', publication, by: 'Teodor Vance', text: 'lit or dark?', at: '2026-11-23' },
      ],
      changed: [
        {
          publication: { id: 'p2', title: 'Moths at lamps' },
          kinds: ['retracted', 'fields'],
          folder: { id: 'f1', name: 'Verges' },
          at: '2026-11-22',
        },
      ],
      annotations: [{ folder: { id: 'f1', name: 'Verges' }, toBeRead: 2, remarks: 1 }],
      drive: [
        {
          id: 'd1',
          path: 'verges.bib',
          title: 'Verges',
          what: 'references',
          kept: true,
          state: 'waiting',
          trouble: 'The drive is full.',
          taken: false,
          works: 0,
        },
      ],
    },
    [
      {
        title: 'Fjordside',
        place: 'catalogue/sources',
        why: 'Nothing comes through from it.',
        since: '2026-11-23T10:00:00Z',
      },
      {
        title: 'Alert on “Bats”',
        place: 'a/a1',
        why: 'It has lost a heading.',
        since: '2026-11-20T10:00:00Z',
        mended: '2026-11-22T10:00:00Z',
      },
    ],
    [
      {
        id: 't1',
        text: 'Which lamps?',
        by: 'Teodor Vance',
        at: '2026-11-23',
        due: '2026-11-20',
        late: true,
      },
    ],
    2,
  );
  const waits = within(await screen.findByRole('region', { name: 'Waits for you' }));
  expect(waits.getByText('retracted on 22 Nov; kept in Verges')).toBeVisible();
  expect(waits.getByText('not on the drive yet: The drive is full.')).toBeVisible();
  expect(
    waits.getByText('2 annotations to be read, and agreed to; 1 remark on what you write'),
  ).toBeVisible();
  expect(waits.getByRole('link', { name: 'Read: Annotations in Verges' })).toHaveAttribute(
    'href',
    '/g/group/f/f1/bibliography',
  );
  expect(waits.getByRole('link', { name: 'Review: Bats' })).toHaveAttribute(
    'href',
    '/g/group/r/r9',
  );
  expect(
    await waits.findByRole('link', { name: 'Review: Texts that you waited for' }),
  ).toHaveAttribute('href', '/g/group/arrivals/readable');
  expect(waits.getByText('in 2 rounds; nobody has seen 3 of them')).toBeInTheDocument();
  expect(await waits.findByText('Nothing comes through from it.')).toBeInTheDocument();
  expect(waits.getByRole('link', { name: 'See: Alert on “Bats” goes again' })).toHaveAttribute(
    'href',
    '/g/group/a/a1',
  );
  expect(
    waits.getByText(/since 22 November 2026, after 20 November 2026. It was: It has lost/),
  ).toBeInTheDocument();
  expect(
    await waits.findByText('A letter to a@x.example could not be handed over'),
  ).toBeInTheDocument();
  expect(waits.queryByText(/old@x.example|b@x.example/)).toBeNull();
  expect(waits.getByText(/was due on 20 November 2026; noted by Teodor Vance/)).toBeInTheDocument();
  fireEvent.click(waits.getByRole('button', { name: 'Looked at' }));
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/remarks/r1/looked-at')?.body).toEqual({
      lookedAt: true,
    }),
  );
});
