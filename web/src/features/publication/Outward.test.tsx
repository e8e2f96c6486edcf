import { screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { Outward } from './Outward';

const PUBLICATION = { id: 'p1', title: 'Bats of fens', year: 2020 } as Schema['Summary'];

const way = (what: string, count: number, name = '') => ({
  what,
  name,
  count,
  line: { id: 'l1', kind: 'words', text: what },
});

const OUTWARD = {
  references: 3,
  elsewhere: ['10.5555/a', '10.5555/b'],
  ways: [way('cites', 1), way('citedby', 0), way('alike', 50), way('author', 4, 'Ann Olm')],
  authorsLeft: 7,
  closest: [],
  counted: '2026-11-24',
};

afterEach(() => vi.unstubAllGlobals());

it('lists works that are cited and not here, and the day of the counts', async () => {
  serve({ 'GET /publications/p1/outward': OUTWARD });
  showAt('/g/group/p/p1', <Outward publication={PUBLICATION} />);
  expect(await screen.findByText('2 works that it cites are not here')).toBeInTheDocument();
  expect(screen.getByText('10.5555/b')).toBeInTheDocument();
  expect(screen.getByText('counted in what was here on 24 November 2026')).toBeInTheDocument();
  expect(screen.getByText('cites 3 works, 1 of them here')).toBeInTheDocument();
});

it('says how many authors were not looked up, and leads to the others', async () => {
  serve({ 'GET /publications/p1/outward': OUTWARD });
  showAt('/g/group/p/p1', <Outward publication={PUBLICATION} />);
  expect(await screen.findByText('7 further authors not looked up')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Ann Olm 4' })).toBeInTheDocument();
  expect(screen.getByText('cited by 0 here, out since 2020')).not.toHaveRole('link');
});
