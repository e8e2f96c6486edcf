import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { AlertActs } from './AlertActs';
import { Differences } from './Differences';

const ALERT = {
  id: 'a1',
  name: 'Moths',
  state: 'watching',
  rhythm: 'daily',
  hour: '05:00',
  folder: { id: 'f1', name: 'Verges' },
} as Schema['AlertLine'];
const WORK = { id: 'p1', title: 'Weirs at night' };
const TRIAL = { found: 12, first: [WORK], compared: 2, causes: ['headings'], firstCompared: [] };

it('says of a paused alert how much came in the pause, before it goes on', async () => {
  serve({ 'POST /alerts/a1/trial': TRIAL });
  showAt('/g/group/x', <AlertActs alert={{ ...ALERT, state: 'paused' }} />);
  expect(await screen.findByText('12 publications came in the pause.')).toBeVisible();
});

it('tries what a run would find, and asks anew each time', async () => {
  const asked = serve({ 'POST /alerts/a1/trial': TRIAL });
  showAt('/g/group/x', <AlertActs alert={ALERT} />);
  expect(asked).toEqual([]);
  await userEvent.click(screen.getByText('Try it'));
  expect(await screen.findByText(/2 publications more by headings/)).toBeVisible();
  expect(screen.getByText('Weirs at night')).toBeVisible();
  expect(screen.getByText('and 11 more')).toBeVisible();
  await userEvent.click(screen.getByText('Try it'));
  await waitFor(() => expect(asked).toHaveLength(2));
});

it('is run out of its turn by a coordinator only', async () => {
  const asked = serve({ 'POST /alerts/a1/run': { found: 0 } });
  showAt('/g/group/x', <AlertActs alert={ALERT} />);
  expect(screen.queryByText('Run it now')).toBeNull();
  document.body.innerHTML = '';
  showAt('/g/group/x', <AlertActs alert={ALERT} />, {
    ...GROUP,
    me: { ...ME, role: 'coordinator' },
  });
  await userEvent.click(screen.getByText('Run it now'));
  await waitFor(() => expect(asked).toHaveLength(1));
});

it('tells what was missed apart from what was widened, with both sets, page by page', async () => {
  const one = { remembered: 40, found: 43, count: 3, first: [WORK] };
  const missed = { ...one, id: 9, at: '2026-11-20T03:00:00Z', missed: true, causes: [] };
  const causes = ['holdings', 'calendar'];
  const widened = { ...one, id: 8, at: '2026-11-19T03:00:00Z', missed: false, causes };
  serve({
    'GET /alerts/a1/differences': (query: string) =>
      Promise.resolve(
        query === '?before=9'
          ? { differences: [widened], more: false }
          : { differences: [missed], more: true },
      ),
  });
  showAt('/g/group/x', <Differences alert="a1" />);
  expect(await screen.findByText('3 publications missed, and announced now')).toBeInTheDocument();
  expect(screen.getByText(/It remembered 40, its search found 43/)).toBeInTheDocument();
  await userEvent.click(screen.getByText('Earlier ones'));
  expect(
    await screen.findByText(/3 publications more by what the group may read and the calendar/),
  ).toBeInTheDocument();
  expect(screen.queryByText('Earlier ones')).toBeNull();
  await userEvent.click(screen.getByText('Later ones'));
  expect(await screen.findByText(/missed, and announced now/)).toBeInTheDocument();
});
