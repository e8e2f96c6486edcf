import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { Changing } from './Changing';
import { ToCheck } from './ToCheck';

afterEach(() => vi.unstubAllGlobals());

const SAVED: Schema['SavedSearch'] = {
  id: 's1',
  name: 'Dimming',
  folder: { id: 'f1', name: 'Verges' },
  revision: 2,
  strategy: strategyOfText('dimm*'),
  count: 40,
  by: 'Ilse',
  at: '2026-11-20T08:00:00Z',
  documented: false,
};

function show(text: string, ready = true) {
  serve({ 'GET /searches/s1': SAVED });
  const onLeave = vi.fn();
  showAt(
    '/g/group/q/abc',
    <Changing of="s1" q="abc" strategy={strategyOfText(text)} ready={ready} onLeave={onLeave} />,
  );
  return onLeave;
}

it('has nothing to save before a line is changed', async () => {
  show('dimm*');
  expect(await screen.findByText(/nothing is changed yet/)).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Save as revision 3' })).toBeDisabled();
});

it('saves what can be counted only', async () => {
  show('dimm* (', false);
  expect(await screen.findByRole('button', { name: 'Save as revision 3' })).toBeDisabled();
});

it('can be left', async () => {
  const onLeave = show('dimm* verges');
  expect(await screen.findByRole('button', { name: 'Save as revision 3' })).toBeEnabled();
  await userEvent.click(screen.getByText('Leave it as it is'));
  expect(onLeave).toHaveBeenCalled();
});

it('shows what colleagues gave to be checked', async () => {
  serve({
    'GET /searches/to-check': [
      { search: 's1', name: 'Dimming', n: 2, by: 'Maren', at: '2026-11-20T08:00:00Z' },
    ],
  });
  showAt('/g/group/folders', <ToCheck />);
  expect(await screen.findByText('Dimming, revision 2')).toHaveAttribute('href', '/g/group/s/s1');
  expect(screen.getByText(/given by Maren on 20 November 2026/)).toBeInTheDocument();
});
