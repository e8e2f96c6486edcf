import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { TrailPage } from './TrailPage';

afterEach(() => vi.unstubAllGlobals());

const step = (q: string, text: string, more: Partial<Schema['TrailStep']> = {}) => ({
  id: `step-${q}`,
  q,
  strategy: { version: 2, lines: [{ id: 'a', kind: 'words' as const, text }] },
  order: 'relevance',
  count: 12,
  at: '2026-11-24T06:40:00Z',
  opened: [],
  ...more,
});

const PAGE: Schema['TrailPage'] = {
  more: false,
  steps: [
    step('one', 'bats', {
      before: 40,
      opened: [
        {
          id: 'p1',
          title: 'Bats of fens',
          retracted: true,
          downloaded: false,
          at: '2026-11-24T06:41:00Z',
        },
      ],
    }),
    step('two', 'owls', { at: '2026-11-23T06:40:00Z' }),
    step('three', 'moths', { at: '2026-11-23T06:30:00Z' }),
  ],
};

it('shows steps by day, with what was found before and what was opened', async () => {
  serve({ 'GET /trail': PAGE });
  showAt('/g/group/trail', <TrailPage />);
  const today = await screen.findByRole('region', { name: '24 November 2026' });
  expect(today).toHaveTextContent('bats');
  expect(today).toHaveTextContent('was 40');
  expect(today).toHaveTextContent('opened Bats of fens');
  expect(screen.getByRole('region', { name: '23 November 2026' })).toHaveTextContent('owls');
});

it('compares the last two that were ticked, the earlier one first', async () => {
  serve({ 'GET /trail': PAGE });
  const router = showAt('/g/group/trail', <TrailPage />);
  await userEvent.click(await screen.findByLabelText('Tick moths'));
  expect(screen.getByRole('status')).toHaveTextContent('Tick one more');
  await userEvent.click(screen.getByLabelText('Tick owls'));
  await userEvent.click(screen.getByLabelText('Tick bats'));
  expect(screen.getByLabelText('Tick moths')).not.toBeChecked();
  await userEvent.click(screen.getByText('Compare the two'));
  expect(router.state.location.search).toBe('?one=q:two&other=q:one');
});
