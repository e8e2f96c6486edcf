import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { DriveDialog, DrivePage } from '.';

afterEach(() => vi.unstubAllGlobals());

const DRIVE: Schema['DriveShown'] = {
  address: 'https://drive.example/hollow/',
  name: 'hollow',
  by: 'Ilse',
  tried: '2026-11-20T08:00:00Z',
};
const FILE: Schema['DriveFileShown'] = {
  id: 'd1',
  path: 'Writing/moths.bib',
  title: 'Moths',
  folder: 'f1',
  what: 'references',
  by: 'Ilse',
  kept: true,
  state: 'failed',
  trouble: 'Somebody changed it on the drive since it was written.',
  taken: true,
  written: '2026-11-22T08:00:00Z',
  works: 41,
};
const coordinator = { ...GROUP, me: { ...ME, role: 'coordinator' as const } };

it('says how each file stands, and what can be done about it', async () => {
  const asked = serve({
    'GET /drive': DRIVE,
    'GET /drive/files': {
      files: [FILE, { ...FILE, id: 'd2', path: 'a.pdf', what: 'text', trouble: '', taken: false }],
    },
    'POST /drive/files/d1/again': { id: 'd1', path: FILE.path },
  });
  showAt('/g/group/drive', <DrivePage />);
  const there = within(await screen.findByRole('region', { name: 'What stands there' }));
  expect(await there.findByText(/Last written on 22 Nov at .*, 41 publications/)).toHaveTextContent(
    'Somebody changed it on the drive',
  );
  // A text does not change, and nothing stands in its way.
  expect(there.getAllByText('Leave it as it is')).toHaveLength(1);
  await userEvent.click(there.getByText('Write over what stands there'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('/again'))?.body).toEqual({ over: true }),
  );
  expect(screen.queryByText('Set it anew')).toBeNull();
});

it('keeps what was typed when the drive refuses it', async () => {
  serve({ 'GET /drive': {} });
  showAt('/g/group/drive', <DrivePage />, coordinator);
  await userEvent.type(await screen.findByLabelText(/Address of a folder/), 'https://x.example/');
  await userEvent.type(screen.getByLabelText('Name of the group there'), 'hollow');
  await userEvent.type(screen.getByLabelText('Password'), 'night moths');
  await userEvent.click(screen.getByText('Try it and set it'));
  expect(await screen.findByRole('alert')).toHaveTextContent('nothing at /drive');
  expect(screen.getByLabelText('Password')).toHaveValue('night moths');
});

it('goes into folders, makes one, and sends what was wanted', async () => {
  const asked = serve({
    'GET /drive': DRIVE,
    'GET /drive/folder': { at: '', folders: ['Writing'], files: ['x'], more: 0 },
    'POST /drive/files': { id: 'd1', path: 'New/moths.bib' },
  });
  const closed = vi.fn();
  const file = { what: 'references', folder: 'f1', format: 'bibtex' };
  showAt('/g/group/f/f1', <DriveDialog file={file} name="moths.bib" onClose={closed} />);
  expect(await screen.findByRole('button', { name: 'Writing' })).toBeVisible();
  await userEvent.type(screen.getByLabelText(/In a new folder/), 'New');
  await userEvent.click(screen.getByLabelText(/Keep it up to date/));
  await userEvent.click(screen.getByText('Put it there'));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect(asked.find(({ method }) => method === 'POST')?.body).toEqual({
    in: 'New',
    name: 'moths.bib',
    kept: true,
    file,
  });
});

it('says who can set a drive where there is none', async () => {
  serve({ 'GET /drive': {} });
  showAt('/g/group/f/f1', <DriveDialog file={{ what: 'text' }} name="" onClose={vi.fn()} />);
  expect(await screen.findByText('Who sets it')).toHaveAttribute('href', '/g/group/drive');
});
