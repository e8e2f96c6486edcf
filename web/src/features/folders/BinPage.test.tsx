import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { BinPage } from '.';

afterEach(() => vi.unstubAllGlobals());

const line = {
  kind: 'publications',
  id: 'act',
  name: 'Verges',
  folder: { id: 'f', name: 'Verges' },
  publications: 5,
  some: [
    { id: 'a', title: 'Lamps' },
    { id: 'b', title: 'Moths' },
    { id: 'c', title: 'Bats' },
  ],
  by: 'Teodor',
  at: '2026-11-20T10:00:00Z',
  until: '2026-12-20T10:00:00Z',
  mayBringBack: true,
};

it('says what lies there, by whom, until when, and brings all back or one', async () => {
  const asked = serve({
    'GET /bin': { lines: [line], next: null },
    'GET /bin/act/publications': [{ id: 'd', title: 'Roads' }],
    'POST /bin/act/publications/back': { folder: 'Verges', publications: 1 },
  });
  showAt('/g/group/bin', <BinPage />);
  expect(await screen.findByText(/and 2 more/)).toBeVisible();
  expect(screen.getByText(/by Teodor on 20 Nov, lies here until 20 Dec/)).toBeVisible();
  fireEvent.click(screen.getByText('One by one'));
  fireEvent.click(await screen.findByRole('button', { name: 'Bring it back: Roads' }));
  fireEvent.click(screen.getByText('Bring them back'));
  await waitFor(() => expect(asked.filter((one) => one.method === 'POST')).toHaveLength(2));
  const bodies = asked.filter((one) => one.method === 'POST').map((one) => one.body);
  expect(bodies).toContainEqual({ publications: ['d'] });
  expect(bodies).toContainEqual({ publications: null });
});

it('offers nothing to whoever may not change the folder, and says when it is empty', async () => {
  serve({ 'GET /bin': { lines: [{ ...line, mayBringBack: false }], next: null } });
  showAt('/g/group/bin', <BinPage />);
  await screen.findByText(/and 2 more/);
  expect(screen.queryByText('Bring them back')).toBeNull();
});

it('takes a double click for one act', async () => {
  const asked = serve({
    'GET /bin': { lines: [line], next: null },
    'POST /bin/act/publications/back': { folder: 'Verges', publications: 5 },
  });
  showAt('/g/group/bin', <BinPage />);
  const back = await screen.findByText('Bring them back');
  fireEvent.click(back);
  fireEvent.click(back);
  await waitFor(() =>
    expect(asked.filter((one) => one.method === 'GET').length).toBeGreaterThan(1),
  );
  expect(asked.filter((one) => one.method === 'POST')).toHaveLength(1);
});
