import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { Yield } from './Yield';

it('is counted when it is opened, and leads to the sheet with the word left out', async () => {
  const asked = serve({
    'GET /alerts/a1/yield': {
      search: 's1',
      arrivals: 1_200,
      kept: 14,
      passed: 60,
      unseen: 46,
      words: [{ line: 'l1', typed: 'curfew*', brought: 41, kept: 1 }],
      spared: [{ line: 'l1', typed: 'curfew*', says: 'dimm*', lost: 40, lostKept: 0 }],
    },
  });
  showAt('/g/group/x', <Yield alert="a1" />);
  expect(asked).toEqual([]);
  await userEvent.click(screen.getByText('What came of it, word by word'));
  expect(
    await screen.findByText('1,200 works came: 14 kept, 60 passed, 46 not looked at.'),
  ).toBeVisible();
  expect(screen.getByText(/40 of them would not have come, none of those kept/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'See it on the sheet' })).toHaveAttribute(
    'href',
    '/g/group/search?of=s1&line=l1&says=dimm*',
  );
  expect(screen.getByRole('row', { name: 'curfew* 41 1' })).toBeVisible();
});
