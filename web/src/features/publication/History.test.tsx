import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { History } from './History';

afterEach(() => vi.unstubAllGlobals());

function changed(date: string, ...kinds: Schema['PublicationChange']['kinds']) {
  return { at: `2026-11-${date}T09:00:00Z`, kinds };
}

function show(...changes: Schema['PublicationChange'][]) {
  serve({ 'GET /publications/p/history': changes });
  showAt('/g/group/p', <History publication="p" />);
}

it('says in which respects a publication changed, and not that it came', async () => {
  show(changed('24', 'retracted'), changed('20', 'final', 'text'), changed('02', 'new'));
  const list = await screen.findByRole('list');
  expect(list).toHaveTextContent('24 November 2026: a retraction was published');
  expect(list).toHaveTextContent(
    '20 November 2026: the final version appeared; title or abstract changed',
  );
  expect(list).not.toHaveTextContent('came');
});

it('shows the latest five, and the rest when asked for', async () => {
  show(
    ...['18', '17', '16', '15', '14', '13', '12'].map((date) => changed(date, 'cited')),
    changed('02', 'new'),
  );
  expect(await screen.findAllByRole('listitem')).toHaveLength(5);
  await userEvent.click(screen.getByRole('button', { name: '2 earlier changes' }));
  expect(screen.getAllByRole('listitem')).toHaveLength(7);
  expect(screen.queryByRole('button')).toBeNull();
});
