import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, serve, showAt } from '../../test-server';
import { RightsForm } from './RightsForm';

const GUEST = {
  id: 'gus',
  name: 'Gus Guest',
  letters: 'Gu',
  role: 'guest',
  onlyFolders: false,
  librarian: false,
} as const;
const OUTSIDE = { ...GUEST, id: 'out', name: 'Orla Outside', onlyFolders: true };
const RIGHTS: Schema['RightsView'] = {
  groupMay: 'edit',
  named: [],
  may: 'edit',
  closed: false,
  fallen: false,
  version: 3,
};

function show(rights = RIGHTS) {
  const group = { ...GROUP, members: [...GROUP.members, GUEST, OUTSIDE] };
  showAt('/g/group/f/f1/people', <RightsForm folder="f1" inside={false} rights={rights} />, group);
}

afterEach(() => vi.unstubAllGlobals());

it('names whoever closes a folder, offers guests no change, and sends what was seen', async () => {
  const asked = serve({ 'PUT /folders/f1/rights': { id: 'f1', name: 'Verges' } });
  show();
  expect(screen.queryByLabelText('What Ilse may')).toBeNull();
  await userEvent.click(screen.getByLabelText(/for those named only/));
  expect(screen.getByLabelText('What Ilse may')).toHaveValue('edit');
  const guest = screen.getByLabelText('What Gus Guest may');
  expect(guest).not.toHaveTextContent('changes it');
  expect(screen.queryByLabelText('What Orla Outside may')).toBeNull();
  await userEvent.selectOptions(guest, 'reads and remarks');
  await userEvent.click(screen.getByRole('button', { name: 'Set it so' }));
  await waitFor(() =>
    expect(asked[0]?.body).toEqual({
      openTo: 'named',
      groupMay: 'edit',
      named: [
        { member: 'me', may: 'edit' },
        { member: 'gus', may: 'remark' },
      ],
      version: 3,
    }),
  );
});

it('takes somebody off, and says what went wrong', async () => {
  const asked = serve({});
  const named = [
    { member: 'out', name: 'Orla Outside', role: 'guest', onlyFolders: true, may: 'read' },
  ] as const;
  show({ ...RIGHTS, openTo: 'group', named: [...named] });
  await userEvent.selectOptions(screen.getByLabelText('What Orla Outside may'), 'is not named');
  await userEvent.click(screen.getByRole('button', { name: 'Set it so' }));
  expect(asked[0]?.body).toMatchObject({ openTo: 'group', named: [] });
  expect(await screen.findByRole('alert')).toHaveTextContent('nothing at');
});
