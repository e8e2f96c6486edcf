import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { ME, serve, showAt } from '../../test-server';
import { MarkForm } from './MarkForm';

const LEAF = { publication: { id: 'p1' }, said: [] } as unknown as Schema['Leaf'];
const ROUND = {
  round: { id: 'r1', alertName: 'Weirs' },
  folder: { id: 'f1', name: 'Verges' },
  arrivals: [] as Schema['ArrivalShown'][],
} as Schema['RoundView'];

it('is made by one button, with the mark that the letter had, and not before', async () => {
  const asked = serve({
    'POST /marks': { mark: 'keep', lamp: 'lit', folder: 'Verges', note: '', publications: 1 },
  });
  showAt('/g/group/x', <MarkForm leaf={LEAF} round={ROUND} said="keep" />);
  expect(screen.getByLabelText('Keep in Verges')).toBeChecked();
  expect(screen.getByText('You have said nothing of it yet.')).toBeVisible();
  expect(asked).toEqual([]);
  await userEvent.type(screen.getByLabelText('Reason'), 'for the talk');
  await userEvent.click(screen.getByText('Say it'));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/marks'))?.body).toEqual({
      publications: ['p1'],
      mark: 'keep',
      reason: 'for the talk',
      round: 'r1',
    }),
  );
  expect(screen.getByText('Its round, Weirs')).toHaveAttribute('href', '/g/group/r/r1?p=p1');
});

it('offers no keep where there is no folder to keep in, and says what one said before', () => {
  const said = [{ member: ME.id, name: ME.name, lamp: 'lit', mark: 'seen', reason: '' }];
  const closed = { ...ROUND, folder: { id: '', name: '' } };
  showAt(
    '/g/group/x',
    <MarkForm leaf={{ ...LEAF, said } as Schema['Leaf']} round={closed} said="pass" />,
  );
  expect(screen.getByLabelText('Pass')).toBeChecked();
  expect(screen.queryByLabelText(/^Keep/)).toBeNull();
  expect(screen.getByRole('status')).toHaveTextContent('You said: seen.');
  document.body.innerHTML = '';
  showAt('/g/group/x', <MarkForm leaf={LEAF} round={undefined} said="keep" />);
  expect(screen.getByLabelText('Seen')).toBeChecked();
});

it('marks what comes again as that, and says what happened to it', async () => {
  const asked = serve({
    'POST /marks': { mark: 'seen', lamp: 'lit', folder: '', note: '', publications: 1 },
  });
  const arrival = {
    id: 'p1@corrected:17',
    occasion: 'corrected',
    newClass: 'corrected',
    lamps: [{ member: ME.id, lamp: 'unlit', before: 'keep' }],
  };
  const round = { ...ROUND, arrivals: [arrival] } as unknown as Schema['RoundView'];
  const said = [{ member: ME.id, name: ME.name, lamp: 'lit', mark: 'keep', reason: '' }];
  const leaf = { ...LEAF, said } as Schema['Leaf'];
  showAt('/g/group/x', <MarkForm leaf={leaf} round={round} on="corrected:17" said="seen" />);
  expect(screen.getByText('It was corrected.')).toBeVisible();
  expect(screen.getByRole('status')).toHaveTextContent('You have said nothing of it yet.');
  expect(screen.getByLabelText('Keep it still')).not.toBeChecked();
  await userEvent.click(screen.getByText('Say it'));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/marks'))?.body).toMatchObject({
      publications: ['p1@corrected:17'],
      mark: 'seen',
    }),
  );
});
