import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { inOneSentence } from './agreement';
import { HowFarWeAgree } from './HowFarWeAgree';

const FIGURE = { value: 0.667, works: 12, low: 0.24, high: 1, doubt: 'none' };
const SHOWN = {
  opened: 15,
  counted: 12,
  inTheOpen: 2,
  agreed: 10,
  fleiss: FIGURE,
  ac1: { ...FIGURE, doubt: 'few' },
  pairs: [
    {
      one: 'Ada',
      other: 'Ben',
      percent: { value: 0.833, works: 12, low: 0.552, high: 0.953, doubt: 'none' },
      kappa: { works: 12, doubt: 'one verdict' },
    },
  ],
  months: [
    { month: '2026-10', works: 4, agreed: 4 },
    { month: '2026-11', works: 8, agreed: 6 },
  ],
};

async function open(shown: object) {
  serve({ 'GET /alerts/a1/agreement': shown });
  showAt('/g/group/x', <HowFarWeAgree alert="a1" />);
  await userEvent.click(screen.getByText('How far we agree'));
}

it('gives each figure with its interval, and says what was left out', async () => {
  await open(SHOWN);
  expect(
    await screen.findByText(/15 works decided on apart, 12 of them counted/),
  ).toHaveTextContent(
    'Left out: 2 on which somebody had decided where others could read it. 1 on which others',
  );
  expect(
    screen.getByText(
      'All said the same on 10 of 12: too few works to say how much of it is chance.',
    ),
  ).toBeVisible();
  expect(
    screen.getByRole('row', { name: 'Ada and Ben 83 % 55 % to 95 % all said the same 12' }),
  ).toBeVisible();
  expect(
    screen.getByRole('row', { name: 'beyond chance 0.67 0.24 to 1.00 too few works 12' }),
  ).toBeVisible();
  expect(screen.getByRole('list', { name: 'By month' })).toHaveTextContent(
    'November 2026all the same on 6 of 8',
  );
});

it('says that nothing was decided yet', async () => {
  await open({ ...SHOWN, opened: 0, counted: 0, inTheOpen: 0, pairs: [], months: [] });
  expect(await screen.findByText(/Nothing was decided on apart yet/)).toBeVisible();
  expect(screen.queryByRole('table')).toBeNull();
});

it.each([
  [{ low: 0.7 }, 'far more than by chance'],
  [{ low: -0.1 }, 'it may be chance alone'],
  [{ doubt: 'few' }, 'too few works'],
  [{ doubt: 'one verdict', value: undefined }, 'how much of it is chance cannot be told'],
])('says in a sentence what %j means', (ac1, words) => {
  expect(inOneSentence({ ...SHOWN, ac1: { ...FIGURE, ...ac1 } } as never)).toContain(words);
});
