import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { unsent } from '../margin';
import { Reader } from './Reader';

const LEAF = {
  publication: { id: 'pub', title: 'Amber filters' },
  citation: 'Oduya, Maren (2025). Amber filters.',
  read: [],
} as unknown as Schema['Leaf'];

const COPY: Schema['CopyShown'] = {
  id: 'copy',
  publication: 'pub',
  form: 'html',
  version: 'final',
  origin: 'fetched',
  by: 'Ilse',
  at: '2026-11-20T07:00:00Z',
  name: 'text.html',
  pages: 1,
  size: 100,
  licence: 'open to all',
  hasWords: true,
};

const TEXT: Schema['TextShown'] = {
  copy: COPY,
  title: 'Amber filters',
  labels: [''],
  parts: [{ kind: 'section', level: 1, title: 'Methods', page: 0, anchor: 't-part-1' }],
  html: '<h2 id="t-part-1">Methods</h2><p>Moths came to lamps. No moth was hurt.</p>',
};

const NOTE: Schema['NoteShown'] = {
  id: 'note',
  publication: 'pub',
  kind: 'task',
  by: 'Ilse',
  mine: true,
  text: 'ask for the type',
  quote: 'lamps',
  version: 'final',
  label: '204',
  shared: false,
  done: false,
  at: '2026-11-20T07:00:00Z',
  changed: '2026-11-20T07:00:00Z',
  remarks: [],
};

const answers = (notes: Schema['NoteShown'][] = []) => ({
  'GET /texts/copy/words': ['Methods\nMoths came to lamps. No moth was hurt.'],
  'GET /publications/pub/margin-notes': notes,
});

const show = (texts: Schema['TextsHere'] = { copies: [COPY], offered: [] }) =>
  showAt('/g/group/p/pub/text', <Reader leaf={LEAF} text={TEXT} texts={texts} />);

beforeEach(() => {
  // What is not laid out has no place.
  Range.prototype.getBoundingClientRect = () => document.body.getBoundingClientRect();
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(() => vi.unstubAllGlobals());

it('finds every place with its line, and goes on from one to the next', async () => {
  serve(answers());
  show();
  await userEvent.type(await screen.findByLabelText('Find in the text'), 'moth{Enter}{Enter}');
  expect(await screen.findByText(/2 places, no. 2/)).toBeInTheDocument();
  const places = within(screen.getByLabelText('Places in the text')).getAllByRole('listitem');
  expect(places.map((place) => place.textContent)).toEqual([
    '…Methods Moths came to lamps. No moth was hurt.… ',
    '…Methods Moths came to lamps. No moth was hurt.… ',
  ]);
  await userEvent.type(screen.getByLabelText('Find in the text'), 'erless');
  expect(await screen.findByText('0 places')).toBeInTheDocument();
});

it('keeps a note whose place is gone, says so, and copies it with citation and page', async () => {
  serve(answers([NOTE]));
  const copied = vi.fn().mockResolvedValue(undefined);
  show();
  expect(await screen.findByText('place not found in this text')).toBeVisible();
  vi.stubGlobal('navigator', { ...navigator, clipboard: { writeText: copied } });
  await userEvent.click(screen.getByRole('button', { name: 'Copy' }));
  expect(copied).toHaveBeenCalledWith(
    '“lamps”\nask for the type\nOduya, Maren (2025). Amber filters. (p. 204)',
  );
});

it('takes the file along alone or with its citation, and notes it on the trail', async () => {
  const asked = serve(answers());
  show();
  await userEvent.click(await screen.findByRole('button', { name: 'Download' }));
  expect(screen.getByText('the file')).toHaveAttribute('href', '/api/groups/group/texts/copy/file');
  expect(screen.queryByText('with the notes in it')).toBeNull();
  await userEvent.keyboard('{Escape}');
  expect(screen.queryByText('the file')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Download' }));
  await userEvent.click(screen.getByText('with its citation (ZIP)'));
  expect(screen.queryByText('the file')).toBeNull();
  await vi.waitFor(() =>
    expect(asked.find((one) => one.path === '/publications/pub/opened')?.body).toEqual({
      downloaded: true,
    }),
  );
});

it('says that a passage has to be chosen first', async () => {
  const asked = serve(answers());
  show();
  await userEvent.click(await screen.findByRole('button', { name: /^Note/ }));
  expect(screen.queryByLabelText('What you note')).toBeNull();
  expect(asked.some((one) => one.method === 'POST')).toBe(false);
});

it('keeps a note that cannot be sent, under the name that it is sent by later', async () => {
  serve(answers());
  show();
  const paragraph = (await screen.findByText(/Moths came/)).firstChild as Text;
  document.getSelection()?.setBaseAndExtent(paragraph, 14, paragraph, 19);
  await userEvent.keyboard('n');
  await userEvent.type(await screen.findByLabelText('What you note'), 'on the train');
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no way out')));
  await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
  await vi.waitFor(() => expect(unsent()).toHaveLength(1));
  const [waiting] = unsent();
  expect(waiting?.note.passage.quote).toBe('lamps');
  expect(waiting?.note.text).toBe('on the train');

  const asked = serve({ ...answers(), 'POST /publications/pub/margin-notes': { note: 'new' } });
  window.dispatchEvent(new Event('online'));
  await vi.waitFor(() => expect(unsent()).toHaveLength(0));
  expect(asked.filter((one) => one.method === 'POST').map((one) => one.command)).toEqual([
    waiting?.command,
  ]);
});

it('offers after the text to say that it was read, and says who read it', async () => {
  const asked = serve({ ...answers(), 'PUT /publications/pub/read': { extent: 'text' } });
  const read = [{ member: 'ben', name: 'Ben', extent: 'text', at: '2026-11-20T07:00:00Z' }];
  const texts = { copies: [COPY], offered: [] };
  showAt('/g/group/p/pub/text', <Reader leaf={{ ...LEAF, read }} text={TEXT} texts={texts} />);
  const after = within(await screen.findByLabelText('After the text'));
  expect(after.getByText(/Ben/)).toHaveTextContent('Ben read: text on 20 November 2026');
  expect(asked.some((one) => one.method === 'PUT')).toBe(false);
  await userEvent.click(after.getByRole('button', { name: 'Read: text' }));
  expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ extent: 'text' });
});
