import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { FeedOfAlert } from './FeedOfAlert';

const FEED = {
  id: 'e1',
  of: 'alert:a1',
  name: 'Moths',
  place: 'a/a1',
  address: 'http://lantern.test/feed/e1/x.atom',
  at: '2026-11-20T08:00:00Z',
};

it('gives the address in the form that a reader asks for, and who read it last', async () => {
  serve({ 'GET /feeds': [{ ...FEED, fetched: '2026-11-23T08:00:00Z', by: 'Reader 1.0' }] });
  showAt('/g/group/x', <FeedOfAlert group="group" alert="a1" />);
  const address = await screen.findByLabelText('Address of Moths');
  expect(address).toHaveValue('http://lantern.test/feed/e1/x.atom');
  await userEvent.selectOptions(screen.getByLabelText('As'), 'JSON Feed');
  expect(address).toHaveValue('http://lantern.test/feed/e1/x.json');
  expect(screen.getByText(/^Read last on 23 November 2026, .* by Reader 1.0$/)).toBeVisible();
  expect(screen.queryByText('Make my address')).toBeNull();
  expect(screen.getByText('One that tells before its rounds close')).toBeVisible();
});
