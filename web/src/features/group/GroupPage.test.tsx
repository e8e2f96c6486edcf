import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { GROUP, serve, showAt } from '../../test-server';
import { GroupPage } from '.';

afterEach(() => vi.unstubAllGlobals());

const members = [
  {
    id: 'me',
    name: 'Ilse',
    role: 'coordinator',
    email: 'i@x.example',
    joined: '2026-01-05',
    away: [],
    me: true,
  },
  { id: 'teo', name: 'Teodor Vance', role: 'member', joined: '2026-01-05', away: [], me: false },
];
const invitation = {
  id: 'i1',
  email: 'nora@x.example',
  role: 'member',
  by: 'Ilse',
  at: '2026-11-20',
  until: '2026-11-27T10:00:00Z',
  expired: false,
  letter: 'given up',
  trouble: '550 nobody of that name',
};

const settings = {
  name: 'Hollow',
  zone: 'Europe/Oslo',
  membersInvite: false,
  reasons: ['not about lamps'],
  librarians: ['teo'],
  version: 3,
};

function open(role: 'coordinator' | 'member') {
  const asked = serve({
    'GET /members': members,
    'GET /invitations': [invitation],
    'GET /folders': [],
    'POST /invitations': { id: 'i2' },
    'GET /settings': settings,
    'PUT /settings': settings,
    'GET /limit-sets': [{ id: 'set1', name: 'Recent', limits: [], by: 'Teodor Vance' }],
  });
  showAt('/g/group/group', <GroupPage />, { ...GROUP, me: { ...GROUP.me, role } });
  return asked;
}

it('asks somebody in, and tells why a letter could not be sent', async () => {
  const asked = open('coordinator');
  const section = within(await screen.findByRole('region', { name: 'Asked in' }));
  expect(await section.findByText(/could not be sent: 550 nobody/)).toBeInTheDocument();
  const email = section.getByLabelText('E-mail address');
  fireEvent.change(email, { target: { value: 'una@x.example' } });
  fireEvent.click(section.getByText('Ask in'));
  // The next address, before the first is answered.
  fireEvent.change(email, { target: { value: 'piet@' } });
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      email: 'una@x.example',
      role: 'member',
    }),
  );
  expect(email).toHaveValue('piet@');
});

it('gives members nothing to change but the way out', async () => {
  open('member');
  expect(await screen.findByText('Teodor Vance')).toBeInTheDocument();
  expect(screen.queryByLabelText('Role of Teodor Vance')).toBeNull();
  expect(screen.queryByRole('region', { name: 'Asked in' })).toBeNull();
  fireEvent.click(screen.getByText('Leave the group'));
  expect(screen.getByRole('dialog')).toHaveTextContent('asked in again');
});

it('sets what holds for the group, as it was seen', async () => {
  const asked = open('coordinator');
  const section = within(await screen.findByRole('region', { name: 'Set for the group' }));
  const set = await section.findByText('Set it so');
  expect(set).toBeDisabled();
  fireEvent.click(section.getByLabelText('Ilse'));
  fireEvent.click(section.getByLabelText('Teodor Vance'));
  await section.findByRole('option', { name: 'Recent' });
  fireEvent.change(section.getByLabelText('Limits that a new sheet begins with'), {
    target: { value: 'set1' },
  });
  fireEvent.change(section.getByLabelText('Reasons for passing a work, one a line'), {
    target: { value: 'not about lamps\n\nno data' },
  });
  fireEvent.click(set);
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
      ...settings,
      usualLimits: 'set1',
      reasons: ['not about lamps', 'no data'],
      librarians: ['me'],
    }),
  );
});
