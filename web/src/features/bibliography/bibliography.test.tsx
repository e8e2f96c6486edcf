import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { BibliographyPage } from '.';
import { bibliography, nothingSaid } from './made-up';

afterEach(() => vi.unstubAllGlobals());

function open(more: Record<string, unknown> = {}) {
  const asked = serve({
    'GET /folders/f1/annotations/p1': nothingSaid,
    'GET /folders/f1/annotations/p2': nothingSaid,
    'PUT /folders/f1/bibliography/chapters': { folder: 'f1', chapters: [] },
    'PUT /folders/f1/bibliography/chapter': { folder: 'f1', chapter: 'Lamps', count: 1 },
    'POST /folders/f1/bibliography/entries/p1/quoted': { id: 'q1', described: 'Oxlade (1990)' },
    'GET /folders/f1/bibliography/since': {
      since: '2026-10-29',
      entries: [
        {
          publication: { id: 'p9', title: 'Bats that left' },
          what: ['gone'],
          at: '2026-11-20T10:00:00Z',
        },
      ],
    },
    'GET /folders/f1/bibliography': { ...bibliography, ...more },
    'GET /publications/p1/fields': [],
    'GET /publications/p2/fields': [],
    'PUT /mends': { count: 1 },
    'PUT /compared': { count: 1, checked: true },
    'PUT /folders/f1/bibliography/mended': { count: 1 },
    'PUT /folders/f1/bibliography': { folder: 'f1', style: '', language: '', byHand: true },
    'GET /citing': { style: bibliography.style, language: '', languages: [] },
    'GET /styles': { styles: [], count: 0 },
  });
  showAt(
    '/g/group/f/f1/bibliography',
    <BibliographyPage />,
    undefined,
    '/g/:group/f/:id/bibliography',
  );
  return asked;
}

it('says what is wrong in an entry and mends it with one key, as it was seen', async () => {
  const asked = open();
  expect(await screen.findByText('The title is in capitals throughout.')).toBeVisible();
  expect(screen.getByText('1 entry to be looked at')).toBeVisible();
  await userEvent.keyboard('m');
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/mends')?.body).toEqual({
      mends: [
        { publication: 'p1', field: 'title', was: 'MOTHS AT LAMPS', value: 'Moths at lamps' },
      ],
    }),
  );
});

it('writes a field otherwise than was offered', async () => {
  const asked = open();
  fireEvent.click(await screen.findByText('Write the title'));
  const field = screen.getByLabelText('title');
  expect(field).toHaveValue('Moths at lamps');
  await userEvent.type(field, ' by night{Enter}');
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/mends')?.body).toMatchObject({
      mends: [{ value: 'Moths at lamps by night' }],
    }),
  );
});

it('mends all that is certain, and ticks what was compared', async () => {
  const asked = open();
  fireEvent.click(await screen.findByText('Mend the 1 that is certain'));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/mended'))?.body).toEqual({ seen: 1 }),
  );
  await userEvent.keyboard('x');
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/compared')?.body).toEqual({
      publications: ['p1'],
      checked: true,
    }),
  );
});

it('sets the order for everybody where one may, and else shows another style to oneself', async () => {
  const asked = open();
  fireEvent.click(await screen.findByText('Style and order'));
  fireEvent.click(screen.getByLabelText(/^by hand/));
  fireEvent.click(screen.getByText('Set it for everybody'));
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
      style: '',
      language: '',
      byHand: true,
    }),
  );
});

it('offers whoever only reads it nothing that changes it', async () => {
  open({ may: 'read' });
  fireEvent.click(await screen.findByText('Style and order'));
  const dialog = within(screen.getByRole('dialog'));
  expect(dialog.getByText('Show it so')).toBeInTheDocument();
  expect(dialog.queryByLabelText(/^by hand/)).toBeNull();
  expect(screen.queryByText(/that is certain/)).toBeNull();
});

it('puts an entry below a heading, and names what is quoted through it', async () => {
  const asked = open();
  fireEvent.change(await screen.findByLabelText('Heading'), { target: { value: 'Lamps' } });
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/chapter'))?.body).toEqual({
      publications: ['p1'],
      chapter: 'Lamps',
    }),
  );
  fireEvent.click(screen.getByText('It quotes another work…'));
  await userEvent.type(screen.getByLabelText(/which was not read/), 'Oxlade (1990){Enter}');
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/quoted'))?.body).toEqual({
      described: 'Oxlade (1990)',
      doi: '',
    }),
  );
});

it('sets the headings as they were seen, in another order and with another name', async () => {
  const asked = open({ chapters: ['Lamps', 'Moths'] });
  fireEvent.click(await screen.findByText('Headings'));
  fireEvent.click(screen.getByLabelText('Heading 2 further up'));
  await userEvent.type(screen.getByLabelText('Heading 2'), ' by night');
  fireEvent.click(screen.getByText('Set the headings'));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/chapters'))?.body).toEqual({
      chaptersSeen: ['Lamps', 'Moths'],
      chapters: [
        { was: 'Moths', name: 'Moths' },
        { was: 'Lamps', name: 'Lamps by night' },
      ],
    }),
  );
});

it('tells what changed since a day, and what left', async () => {
  open();
  fireEvent.click(await screen.findByText('What changed'));
  expect(await screen.findByText('Bats that left')).toBeVisible();
  expect(screen.getByText('taken out')).toBeVisible();
  expect(screen.getByLabelText('What changed since')).toHaveValue('2026-10-29');
});
