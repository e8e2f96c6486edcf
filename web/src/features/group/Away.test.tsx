import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { Away } from './Away';

afterEach(() => vi.unstubAllGlobals());

const member = (id: string, name: string, me: boolean) => ({
  id,
  name,
  role: 'member',
  onlyFolders: false,
  joined: '2026-01-05',
  away: me ? [{ id: 'w1', from: '2026-12-24', to: '2027-01-02' }] : [],
  me,
});
const members = [member('me', 'Ilse', true), member('teo', 'Teodor Vance', false)];

it('says when one is away, notes days and takes them back; members their own alone', async () => {
  const asked = serve({
    'POST /members/me/absences': { id: 'w2' },
    'DELETE /absences/w1': { id: 'w1' },
  });
  showAt('/g/group/group', <Away members={members} />);
  expect(await screen.findByText('Ilse, 24 December 2026 to 2 January 2027')).toBeVisible();
  expect(screen.queryByLabelText('Who')).toBeNull();
  fireEvent.change(screen.getByLabelText('First day'), { target: { value: '2027-03-01' } });
  fireEvent.click(screen.getByText('Note it'));
  fireEvent.click(screen.getByRole('button', { name: /^Not away/ }));
  await waitFor(() => expect(asked.filter((one) => one.command)).toHaveLength(2));
  expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
    from: '2027-03-01',
    to: null,
  });
});

it('lets a coordinator note it for anybody', async () => {
  serve({});
  showAt('/g/group/group', <Away members={members} />, {
    ...GROUP,
    me: { ...ME, role: 'coordinator' },
  });
  expect(await screen.findByLabelText('Who')).toHaveDisplayValue('Ilse');
});
