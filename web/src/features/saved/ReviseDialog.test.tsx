import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { ReviseDialog } from './ReviseDialog';

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
  documented: true,
};

const CHANGE: Schema['ChangeShown'] = {
  n: 2,
  now: 41,
  next: 45,
  gained: { count: 5, titles: [{ id: 'p1', title: 'Curfews and moths' }] },
  lost: { count: 1, titles: [{ id: 'p2', title: 'Dimming at fens' }] },
};

it('shows what is gained and lost, and asks a documented search for a reason', async () => {
  const asked = serve({
    'POST /searches/s1/change': CHANGE,
    'POST /searches/s1/revisions': { n: 3, count: 45, gained: 5, lost: 1 },
  });
  const next = strategyOfText('dimm* or curfew*');
  const router = showAt(
    '/g/group/q/abc',
    <ReviseDialog saved={SAVED} q="abc" strategy={next} onClose={() => undefined} />,
  );
  const gained = await screen.findByRole('region', { name: 'gained' });
  expect(gained).toHaveTextContent('5 gained');
  expect(gained).toHaveTextContent('Curfews and moths');
  expect(gained).toHaveTextContent('and 4 more');
  const lost = screen.getByRole('region', { name: 'lost' });
  expect(within(lost).getByText('Compare them whole')).toHaveAttribute(
    'href',
    '/g/group/compare?one=s:s1:2&other=q:abc&part=lost',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(asked.some((each) => each.path.endsWith('/revisions'))).toBe(false);
  await userEvent.type(screen.getByLabelText('Why it is changed'), 'curfews too');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await vi.waitFor(() => expect(router.state.location.pathname).toBe('/g/group/s/s1'));
  expect(asked.find((each) => each.path.endsWith('/revisions'))?.body).toEqual({
    asked: { strategy: next },
    revision: 2,
    comment: 'curfews too',
    announce: false,
  });
});

it('says why it was refused, and keeps what was written', async () => {
  serve({ 'POST /searches/s1/change': CHANGE });
  showAt(
    '/g/group/q/abc',
    <ReviseDialog
      saved={{ ...SAVED, documented: false }}
      q={undefined}
      strategy={strategyOfText('owls')}
      onClose={() => undefined}
    />,
  );
  await screen.findByRole('region', { name: 'gained' });
  await userEvent.type(screen.getByLabelText('Why it is changed, if you like'), 'owls');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('nothing at');
  expect(screen.getByRole('textbox')).toHaveValue('owls');
});
