import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { BibliographyPage } from '.';

afterEach(() => vi.unstubAllGlobals());

const line = (text: string) => [{ display: 'line', runs: [{ text, looks: [] }] }];
const capitals = {
  kind: 'capitals',
  words: 'capitals',
  sentence: 'The title is in capitals throughout.',
  field: 'title',
  fieldWords: 'title',
  reads: 'MOTHS AT LAMPS',
  mend: 'Moths at lamps',
  certain: true,
};
const bibliography = {
  folder: 'f1',
  name: 'Moths',
  may: 'edit',
  style: { name: 'apa', title: 'APA Style 7th edition', format: 'author-date', checked: false },
  ownStyle: false,
  language: '',
  byHand: false,
  sorted: true,
  missing: [],
  layout: { hangingIndent: true, secondFieldAlign: false, entrySpacing: 0, lineSpacing: 2 },
  count: 2,
  comparedCount: 1,
  faulty: 1,
  certain: 1,
  empty: [],
  entries: [
    { publication: 'p1', parts: line('Oxlade, MOTHS AT LAMPS'), faults: [capitals], read: '' },
    {
      publication: 'p2',
      parts: line('Berg, Bats'),
      faults: [],
      compared: { by: 'Teodor Vance', at: '2026-11-20T10:00:00Z' },
      read: 'text',
    },
  ],
};

function open(more: Record<string, unknown> = {}) {
  const asked = serve({
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
