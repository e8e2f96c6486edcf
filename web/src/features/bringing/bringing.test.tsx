import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { BringPage } from './BringPage';
import { BroughtPage } from './BroughtPage';

afterEach(() => vi.unstubAllGlobals());

const COUNTS: Schema['BroughtCounts'] = {
  all: 3,
  fresh: 1,
  here: 1,
  doubtful: 1,
  twice: 0,
  faulty: 0,
  undecided: 1,
  ready: 2,
  added: 0,
  joined: 0,
  there: 0,
  out: 0,
  failed: 0,
  returned: 0,
  stays: 0,
};

const FILE: Schema['BroughtFile'] = {
  n: 0,
  name: 'old.ris',
  read: true,
  format: 'RIS',
  entries: 3,
  problems: 1,
  columns: [],
};

const BROUGHT: Schema['BroughtShown'] = {
  id: 'b1',
  state: 'open',
  reading: false,
  files: [FILE],
  counts: COUNTS,
  choices: ['title', 'authors', 'year'],
  begun: '2026-11-24T08:00:00Z',
};

const work = (title: string): Schema['BesideShown'] => ({
  title,
  people: ['Reed'],
  year: 2024,
  where: 'Reeds',
  kind: 'article',
  pages: '3, 1–9',
  doi: '10.5555/reed.1',
});

const ENTRY: Schema['BroughtEntry'] = {
  n: 2,
  file: 'old.ris',
  line: 9,
  entry: work('Reeds at weirs'),
  note: 'Read in spring.',
  found: 'doubtful',
  byKey: 'doi',
  here: [{ id: 'p1', own: false, access: 'open to all', work: work('Otters at weirs') }],
  faults: ['The pages are reversed.'],
};

const FOLDERS = [
  {
    id: 'f1',
    name: 'Verges',
    pile: false,
    may: 'edit',
    closed: false,
    items: 0,
    searches: 0,
  },
];

const show = (brought = BROUGHT, entries: Schema['BroughtEntry'][] = [ENTRY]) => {
  const asked = serve({
    'GET /brought/b1': brought,
    'GET /brought/b1/entries': { entries, more: false },
    'GET /brought/b1/problems': {
      problems: [{ file: 'old.ris', line: 33, sentence: 'The entry has no title.' }],
      more: false,
    },
    'GET /folders': FOLDERS,
    'PUT /brought/b1/decisions': { entries: 1 },
    'POST /brought/b1/taken': { id: 'b1' },
    'DELETE /brought/b1/taken': { id: 'b1' },
    'DELETE /brought/b1/entries/2/taken': { id: 'b1' },
    'PUT /brought/b1/files/0/columns': {},
  });
  showAt('/g/group/b/b1', <BroughtPage />, undefined, 'b/:id');
  return asked;
};

it('shows a doubtful entry beside what it may be, and decides it', async () => {
  const asked = show();
  const entry = await screen.findByRole('article', { name: 'Reeds at weirs' });
  expect(entry).toHaveTextContent('doubtful');
  expect(within(entry).getByText('Otters at weirs')).toBeVisible();
  expect(entry).toHaveTextContent('Read in spring.');
  expect(entry).toHaveTextContent('The pages are reversed.');
  expect(entry).toHaveTextContent('old.ris, line 9');
  await userEvent.click(within(entry).getByText('It is this one'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === '/brought/b1/decisions')?.body).toEqual({
      entries: [2],
      decision: 'same',
      publication: 'p1',
    }),
  );
});

it('takes in what is ready into the folder that is chosen, once however often it is pressed', async () => {
  const asked = show();
  const take = await screen.findByText('Take 2 entries in');
  await screen.findByDisplayValue('Verges');
  await userEvent.dblClick(take);
  await waitFor(() =>
    expect(asked.filter(({ path }) => path === '/brought/b1/taken')).toHaveLength(1),
  );
  expect(asked.find(({ path }) => path === '/brought/b1/taken')?.body).toEqual({ folder: 'f1' });
});

it('takes one entry back, so that it can be decided anew', async () => {
  const asked = show({ ...BROUGHT, state: 'taken' }, [{ ...ENTRY, outcome: 'joined' }]);
  await userEvent.click(await screen.findByText('Take this one back'));
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'DELETE')?.path).toBe(
      '/brought/b1/entries/2/taken',
    ),
  );
});

it('names what could not be read, with file and line', async () => {
  show();
  await userEvent.click(await screen.findByText('1 place could not be read'));
  expect(await screen.findByText(/old.ris, line 33/)).toBeVisible();
});

it('takes a receipt back, and offers nothing while it goes on', async () => {
  const taken = { ...COUNTS, ready: 0, undecided: 0, added: 3 };
  const asked = show({ ...BROUGHT, state: 'taken', counts: taken }, [
    { ...ENTRY, outcome: 'added', work: { id: 'p9', title: 'Reeds at weirs' } },
  ]);
  expect(await screen.findByText('Receipt')).toBeVisible();
  expect(screen.queryByText('Leave it out')).toBeNull();
  await userEvent.click(await screen.findByText('Take all of it back'));
  await waitFor(() =>
    expect(
      asked.some(({ method, path }) => `${method} ${path}` === 'DELETE /brought/b1/taken'),
    ).toBe(true),
  );
});

it('asks what the columns of a table hold where nobody can know', async () => {
  const table: Schema['BroughtFile'] = {
    ...FILE,
    name: 'table.csv',
    format: '',
    columns: [
      { head: 'Werk', holds: '' },
      { head: 'Wer', holds: '' },
    ],
  };
  const asked = show({ ...BROUGHT, files: [table] });
  const form = await screen.findByRole('form', { name: 'Columns of table.csv' });
  expect(within(form).getByText('Read it so')).toBeDisabled();
  await userEvent.selectOptions(within(form).getByLabelText('Werk'), 'title');
  await userEvent.click(within(form).getByText('Read it so'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('/columns'))?.body).toEqual({
      holds: { Werk: 'title', Wer: '' },
    }),
  );
});

it('refuses a file that is too long before it is sent', async () => {
  const asked = serve({ 'GET /brought': { lines: [], more: false } });
  showAt('/g/group/bring', <BringPage />);
  const long = new File(['x'], 'long.ris');
  Object.defineProperty(long, 'size', { value: 100_000_001 });
  await userEvent.upload(screen.getByLabelText('Files'), long);
  expect(await screen.findByRole('alert')).toHaveTextContent('more than 100 MB');
  expect(asked.filter(({ method }) => method !== 'GET')).toHaveLength(0);
});
