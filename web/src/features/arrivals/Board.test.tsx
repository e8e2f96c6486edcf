import { screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { GROUP, showAt } from '../../test-server';
import { Board } from './Board';

const round = {
  id: 'r1',
  alert: 'a',
  alertName: 'Moths',
  n: 1,
  opens: '2026-11-17T07:00:00Z',
  closed: '2026-11-24T04:00:00Z',
  arrivals: 3,
  asked: 1,
  covers: 'mark',
  reviewed: { me: 1, teo: 3 },
  shares: { me: 3, teo: 3 },
  covered: 3,
  nobody: 0,
};

it('shows how far everybody is with each round', () => {
  const open = {
    ...round,
    id: 'r2',
    closed: null,
    arrivals: 0,
    reviewed: { me: 0, teo: 0 },
    shares: {},
  };
  showAt('/g/group/arrivals', <Board group={GROUP} rounds={[round, open]} shown="r1" />);
  const [, first, second] = screen.getAllByRole('row');
  expect(within(first as HTMLElement).getByRole('link')).toHaveTextContent(
    'Moths, 17 Nov to 24 Nov',
  );
  expect(first).toHaveTextContent('1 of 3');
  expect(first).toHaveTextContent('through');
  expect(second).toHaveTextContent('since 17 Nov, gathering');
  expect(second).toHaveTextContent('owes nothing');
});

it('gives guests no column', () => {
  const guest = {
    id: 'gus',
    name: 'Gus Guest',
    letters: 'Gu',
    role: 'guest' as const,
    onlyFolders: false,
    librarian: false,
  };
  const group = { ...GROUP, members: [...GROUP.members, guest] };
  showAt('/g/group/arrivals', <Board group={group} rounds={[round]} shown="r1" />);
  expect(screen.queryByText('Gus')).toBeNull();
  expect(screen.getByText('Teodor')).toBeInTheDocument();
});
