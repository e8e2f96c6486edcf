import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { DemoDays } from './DemoDays';

it('lets no days pass while the past of the groups arrives, and says how far it is', async () => {
  serve({
    'GET /api/demo': { today: '2026-09-03T07:10:00Z', pastUntil: '2026-11-24T07:10:00Z' },
  });
  showAt('/g/group/search', <DemoDays today="2026-05-19" />);
  expect(await screen.findByText('the past arrives, up to 24 Nov')).toBeInTheDocument();
  expect(screen.getByText('3 Sept')).toBeInTheDocument();
  expect(screen.queryByRole('button')).toBeNull();
});

it('lets days pass when it is there', async () => {
  serve({ 'GET /api/demo': { today: '2026-11-24T07:10:00Z' } });
  showAt('/g/group/search', <DemoDays today="2026-11-24" />);
  expect(await screen.findByRole('button', { name: 'a day later' })).toBeEnabled();
  expect(screen.getByRole('button', { name: 'a week later' })).toBeEnabled();
});
