import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { FeedsPage, FollowAct } from '.';

const FEED = {
  id: 'e1',
  of: 'alert:a1',
  name: 'Moths',
  place: 'a/a1',
  address: 'http://lantern.test/feed/e1/x.atom',
  at: '2026-11-20T08:00:00Z',
};

it('lists what is followed, and offers what is no single thing and not followed yet', async () => {
  const asked = serve({
    'GET /feeds': [FEED, { ...FEED, id: 'e2', of: 'raised', name: 'What is raised' }],
    'POST /feeds': FEED,
    'POST /feeds/e1/revoke': {},
  });
  showAt('/g/group/feeds', <FeedsPage />);
  expect(await screen.findByRole('link', { name: 'Moths' })).toHaveAttribute(
    'href',
    '/g/group/a/a1',
  );
  expect(screen.getByText('All of them as OPML')).toHaveAttribute(
    'href',
    '/api/groups/group/feeds/opml',
  );
  expect(screen.queryByRole('button', { name: 'What is raised' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'What I have not looked at' }));
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ of: 'unreviewed' }),
  );
  await userEvent.click(screen.getByRole('button', { name: 'Revoke Moths' }));
  await waitFor(() => expect(asked.some((one) => one.path.endsWith('/e1/revoke'))).toBe(true));
});

it('is made from where one is, and leads to where its address stands; not by guests', async () => {
  const asked = serve({ 'POST /feeds': FEED });
  const guest = { ...GROUP, me: { ...ME, role: 'guest' as const } };
  showAt('/g/group/x', <FollowAct of="journal:1234-5678">Follow it by a feed</FollowAct>, guest);
  expect(screen.queryByText('Follow it by a feed')).toBeNull();
  document.body.innerHTML = '';
  const router = showAt('/g/group/x', <FollowAct of="folder:f1">Follow it by a feed</FollowAct>);
  await userEvent.click(screen.getByText('Follow it by a feed'));
  await waitFor(() => expect(router.state.location.pathname).toBe('/g/group/feeds'));
  expect(asked[0]?.body).toEqual({ of: 'folder:f1' });
});

it('has an address for a calendar as it is, and no list for readers of feeds of it alone', async () => {
  serve({
    'GET /feeds': [
      { ...FEED, of: 'rounds', name: 'Days', address: 'http://lantern.test/feed/e1/x.ics' },
    ],
  });
  showAt('/g/group/feeds', <FeedsPage />);
  expect(await screen.findByLabelText('Address of Days')).toHaveValue(
    'http://lantern.test/feed/e1/x.ics',
  );
  expect(screen.queryByLabelText('As')).toBeNull();
  expect(screen.queryByText('All of them as OPML')).toBeNull();
  expect(screen.queryByRole('button', { name: 'Days on which rounds close' })).toBeNull();
});
