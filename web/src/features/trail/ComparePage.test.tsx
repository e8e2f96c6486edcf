import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { ComparePage } from './ComparePage';

const held = (name: string, title: string) => ({
  name,
  title,
  strategy: { version: 2, lines: [] },
  count: 3,
  at: '2026-10-03T08:00:00Z',
  address: '/q/x',
});

const HOLDABLES = {
  saved: [held('s:1:2', 'Bats'), held('s:2:1', 'Owls')],
  moreSaved: false,
  steps: [],
  moreSteps: false,
};

const NOTHING = {
  answer: { count: 0, asOf: 'x', at: '2026-11-24T07:00:00Z', number: 1, ids: [], lines: [] },
  hits: [],
};

afterEach(() => vi.unstubAllGlobals());

it('compares any two searches that are chosen', async () => {
  serve({ 'GET /search/holdables': HOLDABLES });
  const router = showAt('/g/group/compare', <ComparePage />);
  const first = await screen.findByRole('region', { name: 'First' });
  expect(screen.getByRole('button', { name: 'Compare' })).toBeDisabled();
  await screen.findAllByLabelText(/Owls/);
  const second = screen.getByRole('region', { name: 'Second' });
  await userEvent.click(within(first).getByRole('radio', { name: /Bats/ }));
  await userEvent.click(within(second).getByRole('radio', { name: /Owls/ }));
  await userEvent.click(screen.getByRole('button', { name: 'Compare' }));
  expect(router.state.location.search).toBe('?one=s:1:2&other=s:2:1');
});

it('asks for the other one only, where one is named', async () => {
  serve({
    'GET /search/holdables': HOLDABLES,
    'GET /search/held': { title: 'Moths on the sheet' },
  });
  showAt('/g/group/compare?one=q:7', <ComparePage />);
  expect(await screen.findByText('Moths on the sheet')).toBeInTheDocument();
  expect(screen.queryByRole('region', { name: 'First' })).not.toBeInTheDocument();
});

it('says where neither finds more than the other', async () => {
  serve({
    'GET /search/held': { title: 'Moths' },
    'GET /search/comparison': { first: 3, second: 3, gained: 0, lost: 0, common: 3, asOf: 'x' },
    'POST /search': NOTHING,
  });
  showAt('/g/group/compare?one=q:7&other=q:8', <ComparePage />);
  expect(
    await screen.findByText('The second finds nothing that the first does not find.'),
  ).toBeInTheDocument();
  expect(await screen.findByRole('button', { name: 'common 3' })).toBeInTheDocument();
});
