import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, serve, showAt } from '../../test-server';
import { AskAct, QuestionPage } from '.';
import { asSeen } from './seen';

afterEach(() => vi.unstubAllGlobals());

const QUESTION: Schema['QuestionLine'] = {
  id: 'q1',
  text: 'Too few?',
  by: 'Ilse',
  to: 'Teodor Vance',
  seen: { kind: 'sheet', place: '/q/old?order=title&of=saved', name: 'moth*', q: 'old', found: 12 },
  at: '2026-11-20T10:00:00Z',
  words: 1,
  lastBy: 'Teodor Vance',
  lastAt: '2026-11-21T10:00:00Z',
  waitsFor: 'me',
  mine: true,
  version: 2,
};
const WORD: Schema['WordShown'] = {
  id: 'w1',
  by: 'Teodor Vance',
  mine: false,
  text: 'Add bats',
  q: 'new',
  sheet: 'moth* or bat*',
  found: 15,
  at: '2026-11-21T10:00:00Z',
};
const COMPARED = {
  first: 12,
  second: 15,
  gained: 4,
  lost: 1,
  common: 11,
  newestGained: [{ id: 'p1', title: 'Bats at bridges' }],
  newestLost: [{ id: 'p2', title: 'Moths of one night' }],
  asOf: 'x',
};

function open(question = QUESTION) {
  const asked = serve({
    'GET /questions/q1': { question, words: [WORD] },
    'GET /search/comparison': COMPARED,
    'PUT /questions/q1/state': { id: 'q1' },
    'POST /questions/q1/words': { id: 'q1' },
  });
  const router = showAt('/g/group/questions/q1', <QuestionPage />, GROUP, 'questions/:id');
  return { asked, router };
}

it('shows what a proposal gains and loses, and takes it into the saved search it is of', async () => {
  const { asked, router } = open();
  const proposal = within(await screen.findByRole('region', { name: 'Proposed by Teodor Vance' }));
  expect(await proposal.findByText('4 gained')).toBeVisible();
  expect(proposal.getByText('Moths of one night')).toBeVisible();
  expect(proposal.getByText('and 3 more')).toBeVisible();
  fireEvent.click(proposal.getByText('Take this sheet'));
  await waitFor(() => expect(router.state.location.pathname).toBe('/g/group/q/new'));
  expect(router.state.location.search).toBe('?of=saved');
  expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
    closed: true,
    took: 'w1',
    version: 2,
  });
});

it('gives nothing to take to whoever proposed it', async () => {
  open({ ...QUESTION, mine: false });
  expect(await screen.findByText('Proposed:', { exact: false })).toBeVisible();
  expect(screen.queryByText('Take this sheet')).toBeNull();
  expect(screen.queryByText('Nothing more is needed')).toBeNull();
  expect(screen.getByText('Open what they saw')).toHaveAttribute(
    'href',
    '/g/group/q/old?order=title&of=saved',
  );
});

it('keeps what is typed while the line before is sent', async () => {
  const { asked } = open();
  const box = await screen.findByLabelText('What you say to it');
  fireEvent.change(box, { target: { value: 'Thanks' } });
  fireEvent.click(screen.getByText('Say it'));
  fireEvent.change(box, { target: { value: 'And why' } });
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ text: 'Thanks', q: null }),
  );
  expect(box).toHaveValue('And why');
});

it('asks the librarian first, and answers with a sheet what waits', async () => {
  const asked = serve({
    'GET /questions': { questions: [{ ...QUESTION, mine: false }], waiting: 1, open: 1, ended: 0 },
    'POST /questions': { id: 'q2' },
    'POST /questions/q1/words': { id: 'q1' },
  });
  const members = [
    GROUP.me,
    { ...GROUP.me, id: 'teo', name: 'Teodor Vance' },
    { ...GROUP.me, id: 'lib', name: 'Lina Shelf', librarian: true },
  ];
  showAt('/g/group/q/new', <AskAct seen={() => ({ place: '/q/new', q: 'new' })} />, {
    ...GROUP,
    members,
  });
  fireEvent.click(screen.getByText('Ask a colleague…'));
  const dialog = within(await screen.findByRole('dialog', { hidden: true }));
  expect(dialog.getByLabelText('Whom')).toHaveDisplayValue('the librarian: Lina Shelf');
  const text = dialog.getByLabelText('What you ask');
  fireEvent.change(text, { target: { value: 'Enough?' } });
  fireEvent.change(await dialog.findByLabelText('As'), { target: { value: 'q1' } });
  fireEvent.click(dialog.getByText('Answer'));
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'POST')).toMatchObject({
      path: '/questions/q1/words',
      body: { text: 'Enough?', q: 'new' },
    }),
  );
});

it('sends along how a list is looked at, not how it began', () => {
  const params = new URLSearchParams('order=title&add=moth&p=p1');
  expect(asSeen('/q/x', params)).toBe('/q/x?order=title&p=p1');
  expect(asSeen('/f/x', new URLSearchParams())).toBe('/f/x');
});
