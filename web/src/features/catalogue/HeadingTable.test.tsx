import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { HeadingTable } from './HeadingTable';

afterEach(() => vi.unstubAllGlobals());

const line = (label: string, below: number): Schema['HeadingLine'] => ({
  label,
  count: 2,
  withNarrower: 9,
  below,
  retired: false,
});

it('unfolds what is below in place, and folds it again', async () => {
  serve({
    'GET /headings/one': { label: 'Animals', narrower: [line('Bats', 1), line('Owls', 0)] },
  });
  showAt(
    '/g/group/x',
    <HeadingTable lines={[line('Animals', 2)]} to={(label) => `?h=${label}`} label="Headings" />,
  );
  const unfold = await screen.findByRole('button', { name: 'Unfold Animals' });
  expect(unfold).toHaveAttribute('aria-expanded', 'false');
  await userEvent.click(unfold);
  expect(await screen.findByRole('link', { name: 'Owls' })).toHaveAttribute(
    'href',
    '/g/group/x?h=Owls',
  );
  expect(screen.queryByRole('button', { name: 'Unfold Owls' })).toBeNull();
  expect(screen.getByRole('button', { name: 'Unfold Bats' })).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Fold Animals' }));
  expect(screen.queryByRole('link', { name: 'Owls' })).toBeNull();
});
