import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { HousePage } from './HousePage';

const HOUSE = {
  steward: true,
  name: '',
  version: '0.2.0',
  databaseVersion: '15.1',
  started: '2026-11-24T06:00:00Z',
  counts: {
    publications: 4557,
    records: 5184,
    sources: 3,
    accounts: 7,
    alerts: 2,
    setAside: 1,
    doubtful: 4,
  },
  sizes: {
    database: 48_000_000,
    index: 9_300_000,
    memory: 210_000_000,
    memoryMost: 700_000_000,
    diskFree: 5_000_000_000,
    disk: 90_000_000_000,
  },
  lag: { index: 0, indexStandsStill: false, alerts: 1 },
  missing: ['name', 'holdings'],
  jobs: [
    {
      name: 'nightly-checks',
      lastSuccess: '2026-11-24T06:00:00Z',
      failures: 0,
      next: '2026-11-24T06:10:00Z',
      running: false,
    },
    { name: 'harvest', failures: 3, next: '2026-11-24T06:10:00Z', running: true },
  ],
  slow: [{ shape: '2 of words', count: 4, longest: 1200, last: '2026-11-24T05:00:00Z' }],
  groups: [{ name: 'Attic moths', members: 2 }],
};

const UPKEEP = { steward: true, setAside: [], checks: [] };

afterEach(() => vi.unstubAllGlobals());

it('tells how the house is, what is missing, and has a job run', async () => {
  const asked = serve({
    'GET /house': HOUSE,
    'GET /set-aside': UPKEEP,
    'POST /house/jobs/nightly-checks/again': {},
    'GET /house/letters': {
      givenUp: [{ recipient: 'gone@x.example', trouble: '550 nobody', at: '2026-11-20T10:00:00Z' }],
      inTrouble: 2,
    },
    'PUT /house/accounts/state': {},
  });
  showAt('/g/group/catalogue/house', <HousePage />);
  expect(
    await screen.findByText('4,557 publications out of 5,184 records of 3 sources'),
  ).toBeInTheDocument();
  expect(screen.getByText('2 alerts, 1 behind')).toBeInTheDocument();
  expect(screen.getByText(/48 MB of database, 9.3 MB of index/)).toBeInTheDocument();
  expect(screen.getByText('The house has no name yet.')).toBeInTheDocument();
  expect(screen.getByText('none was made yet')).toBeInTheDocument();
  expect(await screen.findByText(/550 nobody/)).toBeInTheDocument();
  const account = screen.getByLabelText('E-mail address of the account');
  fireEvent.change(account, { target: { value: 'old@x.example' } });
  fireEvent.click(screen.getByText('End it'));
  expect(await screen.findByText('old@x.example has ended.')).toBeInTheDocument();
  expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
    email: 'old@x.example',
    ended: true,
  });
  expect(await screen.findByRole('link', { name: 'what a group may read' })).toHaveAttribute(
    'href',
    '/g/group/catalogue/holdings',
  );
  expect(screen.getByText(/failed 3 times since; runs now/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Run nightly checks now' }));
  expect(asked.map(({ method, path }) => `${method} ${path}`).join(' ')).toContain(
    '/house/jobs/nightly-checks/again',
  );
});

it('tells what a check found, and offers to put right what can be', async () => {
  const check = {
    mend: false,
    asked: '2026-11-24T06:00:00Z',
    ended: '2026-11-24T06:00:01Z',
    found: [
      { what: 'the index', differences: 2, mended: false, at: '2026-11-24T06:00:01Z' },
      { what: 'lamps', differences: 0, mended: false, at: '2026-11-24T06:00:01Z' },
    ],
  };
  serve({ 'GET /house': { ...HOUSE, check }, 'GET /set-aside': UPKEEP });
  showAt('/g/group/catalogue/house', <HousePage />);
  expect(await screen.findByText('the index: 2 not as they should be')).toBeInTheDocument();
  expect(screen.getByText('lamps: as it should be')).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Check, and put right what can be' })).toBeEnabled();
});

it('shows nothing of it to members', async () => {
  serve({
    'GET /house': { steward: false, missing: [], jobs: [], slow: [], groups: [] },
    'GET /set-aside': { ...UPKEEP, steward: false },
  });
  showAt('/g/group/catalogue/house', <HousePage />);
  expect(await screen.findByText(/Stewards of the installation look after/)).toBeInTheDocument();
  expect(screen.queryByRole('link', { name: 'House' })).not.toBeInTheDocument();
});
