import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { MeetingsPage } from './MeetingsPage';

afterEach(() => vi.unstubAllGlobals());

const MEETING: Schema['MeetingLine'] = {
  id: 'm1',
  day: '2026-11-25',
  time: '14:00:00',
  place: 'Room 4',
  by: 'Ilse',
  state: 'planned',
  works: 2,
  decided: 0,
  version: 3,
};

it('lists meetings ahead and those of before, page by page', async () => {
  const asked = serve({
    'GET /meetings': (query: string) => ({
      today: '2026-11-24',
      ahead: query ? [] : [{ ...MEETING, state: 'planned', id: 'm9', works: 1 }],
      over: [{ ...MEETING, id: query ? 'm0' : 'm1', state: 'over', day: '2026-10-01' }],
      standing: 1,
      ...(query ? {} : { next: 'm1' }),
    }),
    'POST /meetings': { id: 'm10' },
  });
  showAt('/g/group/meetings', <MeetingsPage />);
  expect(await screen.findByText(/1 work stands open: raised/)).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Earlier ones' }));
  await waitFor(() => expect(screen.getAllByText('1 October 2026, 14:00, Room 4')).toHaveLength(2));
  fireEvent.click(screen.getByRole('button', { name: 'Call a meeting…' }));
  const dialog = within(screen.getByRole('dialog', { hidden: true }));
  fireEvent.change(dialog.getByLabelText('Where (may be left out)'), { target: { value: 'Hall' } });
  fireEvent.click(dialog.getByText('Call it'));
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'POST')?.body).toEqual({
      day: '2026-11-24',
      time: '14:00',
      place: 'Hall',
    }),
  );
});
