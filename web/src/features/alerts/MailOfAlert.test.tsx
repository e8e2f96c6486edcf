import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { MailOfAlert } from './MailOfAlert';
import { ReceiversField } from './ReceiversField';

it('says who gets it, and has oneself in or out', async () => {
  const asked = serve({
    'GET /alerts/a1/mail': { forAll: true, mine: true, names: ['Ilse Vos', 'Noor Lund'] },
    'PUT /alerts/a1/mail': { forAll: true, mine: false, names: ['Noor Lund'] },
  });
  showAt('/g/group/a/a1', <MailOfAlert group="group" alert="a1" />);
  expect(
    await screen.findByText(/^It goes to Ilse Vos and Noor Lund, and to whoever joins/),
  ).toBeVisible();
  await userEvent.click(screen.getByText('Leave it out'));
  expect(await screen.findByText('Your letters leave it out.')).toBeVisible();
  expect(screen.getByText(/^It goes to Noor Lund, and/)).toBeVisible();
  expect(screen.getByText('Have it in my letters')).toBeVisible();
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ receive: false }),
  );
});

it('goes to everybody, or to some of the group who are named', async () => {
  const chosen: (string[] | null)[] = [];
  function Field() {
    const [now, setNow] = useState<string[] | null>(null);
    chosen.push(now);
    return <ReceiversField chosen={now} onChange={setNow} />;
  }
  const other = { ...ME, id: 'm2', name: 'Noor Lund' };
  showAt('/g/group/x', <Field />, { ...GROUP, members: [ME, other] });
  expect(screen.queryByRole('checkbox')).toBeNull();
  await userEvent.selectOptions(screen.getByLabelText('What it brings goes by mail'), 'some');
  await userEvent.click(screen.getByLabelText('Noor Lund'));
  expect(chosen.at(-1)).toEqual([ME.id, 'm2']);
  await userEvent.click(screen.getByLabelText(ME.name));
  expect(chosen.at(-1)).toEqual(['m2']);
  await userEvent.selectOptions(screen.getByLabelText('What it brings goes by mail'), '');
  expect(chosen.at(-1)).toBeNull();
});
