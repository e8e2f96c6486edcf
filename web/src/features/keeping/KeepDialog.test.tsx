import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { NoticeContext } from '../../ui';
import { serve, showAt } from '../../test-server';
import { KeepDialog } from '.';

const FOLDERS = [
  { id: 'f1', name: 'Bats', pile: false, may: 'edit', closed: false, items: 0, searches: 0 },
  { id: 'f2', name: 'Verges', pile: false, may: 'edit', closed: false, items: 2, searches: 1 },
];
const KEPT = {
  publications: 1,
  added: 1,
  folderId: 'f2',
  folder: 'Verges',
  already: false,
  keeper: 'Ilse',
  elsewhere: [],
};

function show() {
  const tell = vi.fn();
  const close = vi.fn();
  showAt(
    '/g/group/search',
    <NoticeContext value={tell}>
      <KeepDialog group="group" publications={['pub']} step="step" onClose={close} />
    </NoticeContext>,
  );
  return { tell, close };
}

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

it('keeps with folder, note, step and a command that can be undone', async () => {
  const asked = serve({ 'GET /folders': FOLDERS, 'POST /folders/f2/items': KEPT });
  const { tell, close } = show();
  await screen.findByText('Verges');
  await userEvent.selectOptions(screen.getByLabelText('Folder'), 'Verges');
  await userEvent.type(screen.getByLabelText(/Why/), 'good design{Enter}');
  await waitFor(() => expect(close).toHaveBeenCalled());
  const post = asked.find((one) => one.method === 'POST');
  expect(post?.body).toEqual({ publications: ['pub'], note: 'good design', step: 'step' });
  expect(tell).toHaveBeenCalledWith({ text: 'Kept in Verges.', command: post?.command });
  expect(localStorage.getItem('lantern.folder.group')).toBe('f2');
});

it('stays open with what was typed when it is refused', async () => {
  serve({ 'GET /folders': FOLDERS });
  const { close } = show();
  await screen.findByLabelText('Folder');
  await userEvent.type(screen.getByLabelText(/Why/), 'good design{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('nothing at /pile/items');
  expect(screen.getByLabelText(/Why/)).toHaveValue('good design');
  expect(close).not.toHaveBeenCalled();
});

it('keeps in the pile without a choice, and names it', async () => {
  const pile = { ...KEPT, folder: 'My pile' };
  serve({ 'GET /folders': FOLDERS, 'POST /pile/items': pile });
  const { tell, close } = show();
  await screen.findByLabelText('Folder');
  await userEvent.type(screen.getByLabelText('Why'), '{Enter}');
  await waitFor(() => expect(close).toHaveBeenCalled());
  expect(tell).toHaveBeenCalledWith(expect.objectContaining({ text: 'Kept in My pile.' }));
});

it('makes a folder', async () => {
  const asked = serve({ 'GET /folders': [], 'POST /folders': { id: 'f9', name: 'New' } });
  show();
  await userEvent.click(await screen.findByText('New folder'));
  await userEvent.type(await screen.findByLabelText('Name of the new folder'), 'New{Enter}');
  await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
  expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ name: 'New' });
});
