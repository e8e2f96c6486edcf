import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { FollowedPage } from '.';

const DITCH = {
  id: 'f1',
  title: 'The Ditch',
  address: 'https://ditch.example/rss',
  site: 'https://ditch.example/',
  sourceKey: 'feed-f1',
  by: 'Ilse',
  at: '2026-11-20T08:00:00Z',
  answered: '2026-11-20T09:00:00Z',
  error: '',
  entries: 20,
  unread: 0,
  works: 19,
};

const LOOKED = {
  address: 'https://pond.example/feed',
  title: 'Pond',
  works: 12,
  left: 2,
  here: 3,
  first: [{ title: 'Newts', who: 'Ada Moth', where: 'Pond', date: '2026-11', here: true }],
  followed: false,
};

it('says of each what came by it and how it answers; ends it', async () => {
  const asked = serve({
    'GET /followed': [DITCH, { ...DITCH, id: 'f2', title: 'Pond', error: 'answered 500.' }],
    'POST /followed/f1/end': {},
  });
  showAt('/g/group/catalogue/followed', <FollowedPage />);
  expect(await screen.findByRole('heading', { name: 'The Ditch' })).toBeInTheDocument();
  expect(screen.getAllByText(/19 works came by it/)).toHaveLength(2);
  expect(screen.getByText(/did not come through: answered 500/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'End The Ditch' }));
  await waitFor(() => expect(asked.some((one) => one.path.endsWith('/f1/end'))).toBe(true));
});

it('shows how a feed would be read before it is followed; another address is looked at anew', async () => {
  const asked = serve({
    'GET /followed': [],
    'POST /followed/look': LOOKED,
    'POST /followed': { followed: ['f3'] },
  });
  showAt('/g/group/catalogue/followed', <FollowedPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Follow a feed' }));
  const address = screen.getByLabelText('Address of the feed (RSS or Atom)');
  await userEvent.type(address, 'https://pond.example/x{Enter}');
  expect(await screen.findByText(/“Pond” has 12 works, 3 of them here already/)).toBeVisible();
  expect(screen.getByText('Newts')).toBeVisible();
  await userEvent.type(address, '2');
  expect(screen.queryByText('Newts')).toBeNull();
  await new Promise((later) => setTimeout(later, 450));
  await userEvent.click(screen.getByRole('button', { name: 'Look' }));
  await new Promise((later) => setTimeout(later, 450));
  await userEvent.click(await screen.findByRole('button', { name: 'Follow it' }));
  await waitFor(() =>
    expect(
      asked.find((one) => one.method === 'POST' && one.path.endsWith('/followed'))?.body,
    ).toEqual({ feeds: [{ address: 'https://pond.example/feed', title: 'Pond' }] }),
  );
});

it('takes a list in, without those that are followed or unticked', async () => {
  const asked = serve({
    'GET /followed': [DITCH],
    'POST /followed/list': {
      feeds: [
        { title: 'The Ditch', address: 'https://ditch.example/rss', followed: true },
        { title: 'Pond', address: 'https://pond.example/a', followed: false },
        { title: '', address: 'https://fen.example/b', followed: false },
      ],
      left: 4,
    },
    'POST /followed': { followed: ['f4'] },
  });
  showAt('/g/group/catalogue/followed', <FollowedPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Take feeds from a list' }));
  await userEvent.upload(
    screen.getByLabelText('A list of feeds'),
    new File(['<opml/>'], 'mine.opml', { type: 'text/xml' }),
  );
  expect(await screen.findByText(/3 feeds, 1 of them followed already, 4 more/)).toBeVisible();
  await userEvent.click(screen.getByLabelText(/fen\.example/));
  await userEvent.click(screen.getByRole('button', { name: 'Follow 1 feed' }));
  await waitFor(() =>
    expect(
      asked.find((one) => one.method === 'POST' && one.path.endsWith('/followed'))?.body,
    ).toEqual({ feeds: [{ address: 'https://pond.example/a', title: 'Pond' }] }),
  );
});

it('offers nothing to guests', async () => {
  serve({ 'GET /followed': [DITCH] });
  const guest = { ...GROUP, me: { ...ME, role: 'guest' as const } };
  showAt('/g/group/catalogue/followed', <FollowedPage />, guest);
  expect(await screen.findByRole('heading', { name: 'The Ditch' })).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Follow a feed' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'End The Ditch' })).toBeNull();
});
