import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { MeetingPage } from './MeetingPage';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const MEETING: Schema['MeetingLine'] = {
  id: 'm1',
  day: '2026-11-25',
  time: '14:00:00',
  place: 'Room 4',
  by: 'Ilse',
  state: 'under way',
  begun: '2026-11-25T13:02:00Z',
  works: 2,
  decided: 0,
  version: 3,
};

const work = (id: string): Schema['AgendaWork'] => ({
  why: 'raised',
  work: {
    arrival: {
      id,
      publication: {
        id,
        title: `Work ${id}`,
        authors: ['Oxlade'],
        where: 'Night',
        year: 2026,
      } as Schema['Summary'],
      occasion: 'first coming',
      newClass: 'new',
      hereSince: false,
      came: '2026-11-20T10:00:00Z',
      words: [],
      lamps: [
        { member: 'me', lamp: 'unlit' },
        { member: 'teo', lamp: 'lit', mark: 'raise', reason: 'Is it ours?' },
      ],
      because: [],
    },
    round: { id: 'r1', alertName: 'Bats', n: 2, folder: { id: 'f1', name: 'Verges' }, apart: 0 },
  },
});

const leaf = (id: string, folders: Schema['FolderName'][]) => ({
  publication: { id, title: `Work ${id}` },
  authors: ['A. Oxlade'],
  abstractText: `About ${id}.`,
  folders,
  mayRemark: false,
});

const FOLDERS = [
  { id: 'f1', name: 'Verges', may: 'edit', closed: false, pile: false },
  { id: 'f2', name: 'Reading', may: 'edit', closed: false, pile: false },
  { id: 'f3', name: 'For some', may: 'edit', closed: true, pile: false },
];

function open(
  outcomes: Schema['OutcomeShown'][] = [],
  { meeting = MEETING, holding = [] as Schema['FolderName'][] } = {},
) {
  const shown = { meeting, present: ['me'], outcomes, more: 0, since: 0 };
  const asked = serve({
    'GET /meetings/m1': () => shown,
    'GET /meetings/m1/works': [work('w1'), work('w2')],
    'GET /publications/w1': leaf('w1', holding),
    'GET /publications/w2': leaf('w2', []),
    'GET /publications/w1/remarks': [],
    'GET /publications/w2/remarks': [],
    'GET /folders': FOLDERS,
    'POST /meetings/m1/decisions': { what: 'keep', note: '' },
    'POST /meetings/m1/letters': { letters: 2 },
    'PUT /meetings/m1/begin': { id: 'm1' },
    'PUT /meetings/m1/end': { id: 'm1' },
  });
  showAt('/g/group/meetings/m1', <MeetingPage />, undefined, 'meetings/:id');
  return { asked, shown };
}

const decisions = (asked: ReturnType<typeof serve>) =>
  asked.filter(({ path }) => path === '/meetings/m1/decisions').map(({ body }) => body);

it('decides by one key, into the folder of its alert, and goes on to the next', async () => {
  const { asked } = open();
  expect(await screen.findByRole('heading', { level: 2, name: 'Work w1' })).toBeVisible();
  expect(screen.getByText('“Is it ours?”')).toBeVisible();
  expect(await screen.findByText('About w1.')).toBeVisible();
  fireEvent.change(screen.getByLabelText(/What is to be remembered/), {
    target: { value: 'Ours, says Teodor.' },
  });
  await screen.findByRole('option', { name: 'Verges' });
  expect(screen.queryByRole('option', { name: 'For some' })).toBeNull();
  fireEvent.keyDown(document.body, { key: '1' });
  // A second key on its heels is not meant for the next one.
  fireEvent.keyDown(document.body, { key: '1' });
  expect(await screen.findByRole('heading', { level: 2, name: 'Work w2' })).toBeVisible();
  expect(decisions(asked)).toEqual([
    {
      publication: 'w1',
      what: 'keep',
      words: 'Ours, says Teodor.',
      was: '',
      folder: 'f1',
      outOf: [],
    },
  ]);
  expect(localStorage.length).toBe(0);
});

it('passes out of the folder of its alert, and of others where they are ticked', async () => {
  const { asked } = open([], {
    holding: [
      { id: 'f1', name: 'Verges' },
      { id: 'f2', name: 'Reading' },
      { id: 'f3', name: 'For some' },
    ],
  });
  expect(await screen.findByLabelText('A pass takes it out of Verges')).toBeChecked();
  expect(screen.getByLabelText('A pass takes it out of Reading')).not.toBeChecked();
  expect(screen.queryByLabelText('A pass takes it out of For some')).toBeNull();
  fireEvent.click(screen.getByLabelText('A pass takes it out of Reading'));
  fireEvent.click(screen.getByRole('button', { name: 'We pass it' }));
  await waitFor(() => expect(decisions(asked)).toMatchObject([{ outOf: ['f1', 'f2'] }]));
});

it('keeps what was typed through a reload, and shows what another wrote down', async () => {
  localStorage.setItem('lantern.meeting.m1.w1', 'half a sent');
  open([
    {
      work: 'w2',
      what: 'pass',
      words: 'Not ours.',
      by: 'Teodor Vance',
      at: '2026-11-25T13:05:00Z',
    },
  ]);
  expect(await screen.findByDisplayValue('half a sent')).toBeVisible();
  fireEvent.keyDown(document.body, { key: 'j' });
  expect(await screen.findByDisplayValue('Not ours.')).toBeVisible();
  expect(screen.getByText(/written down by Teodor Vance/)).toBeVisible();
});

it('decides nothing by a key that came while somebody was typing', async () => {
  const { asked } = open();
  const words = await screen.findByLabelText(/What is to be remembered/);
  fireEvent.keyDown(words, { key: 'a' });
  fireEvent.keyDown(document.body, { key: '2' });
  await new Promise((later) => setTimeout(later, 50));
  expect(decisions(asked)).toEqual([]);
});

it('begins with who is not away, and says so before', async () => {
  const { asked } = open([], { meeting: { ...MEETING, state: 'planned' } });
  expect(
    await screen.findByRole('heading', { name: '25 November 2026, 14:00, Room 4' }),
  ).toBeVisible();
  expect(screen.getByText('Agenda, 2 works')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Send the agenda to all members' }));
  await waitFor(() => expect(asked.some(({ path }) => path.endsWith('/letters'))).toBe(true));
  fireEvent.click(screen.getByRole('button', { name: 'Begin…' }));
  const dialog = within(screen.getByRole('dialog', { hidden: true }));
  fireEvent.click(dialog.getByLabelText('Teodor Vance'));
  fireEvent.click(dialog.getByText('Begin'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('/begin'))?.body).toEqual({
      present: ['me'],
      version: 3,
    }),
  );
});

it('tells what it came to when it is over, with its minutes', async () => {
  open([{ work: 'w1', what: 'keep', words: 'Ours.', by: 'Ilse', at: '2026-11-25T13:05:00Z' }], {
    meeting: { ...MEETING, state: 'over', ended: '2026-11-25T14:10:00Z', decided: 1 },
  });
  expect(await screen.findByText(/Ilse was there; 1 of 2 works decided/)).toBeVisible();
  expect(screen.getByText('Ours.')).toBeVisible();
  expect(screen.queryByText('“Is it ours?”')).toBeNull();
  expect(screen.getByRole('link', { name: 'Download as DOCX' })).toHaveAttribute(
    'href',
    '/api/groups/group/report/docx?of=meeting%3Am1',
  );
});
