import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { SourcesPage } from './SourcesPage';

const INDEX = {
  key: 'night-index',
  name: 'The Night Index',
  format: 'mods',
  records: 3340,
  firstYear: 1993,
  lastYear: 2026,
  harvested: '2026-11-20T07:00:00Z',
};

const SUPPLIED = {
  source: 'night-index',
  count: 3300,
  kinds: [
    { what: 'article', count: 3000 },
    { what: 'review', count: 300 },
  ],
  withs: [{ what: 'abstracts', count: 2900 }],
};

const show = (index: object) => {
  serve({
    'GET /sources': [index],
    'GET /search/supplied': [SUPPLIED],
    'GET /set-aside': { steward: false, setAside: [], checks: [] },
  });
  showAt('/g/group/catalogue/sources', <SourcesPage />);
};

afterEach(() => vi.unstubAllGlobals());

it('tells what a source supplies from what is here of it', async () => {
  show(INDEX);
  expect(await screen.findByText('article 3,000 · review 300')).toBeInTheDocument();
  expect(screen.getByText('abstracts 2,900')).toBeInTheDocument();
  expect(screen.getByText(/3,340 publications from 1993 to 2026/)).toBeInTheDocument();
  expect(screen.queryByText(/did not come through/)).not.toBeInTheDocument();
});

it('tells a harvest that failed, and why', async () => {
  show({ ...INDEX, failed: '2026-11-23T07:00:00Z', error: 'Connection refused' });
  expect(
    await screen.findByText(/harvest of 23 November 2026 did not come through: Connection refused/),
  ).toBeInTheDocument();
});

const TRY = {
  id: 31,
  at: '2026-11-24T06:00:00Z',
  pages: 2,
  taken: 412,
  changed: 18,
  setAside: 1,
};

it('tells each harvest, what was set aside, and lets a steward have it tried', async () => {
  const asked = serve({
    'GET /sources': [INDEX],
    'GET /search/supplied': [SUPPLIED],
    'GET /set-aside': { steward: true, setAside: [], checks: [] },
    'GET /sources/night-index/tries': {
      tries: [{ ...TRY, id: 32, pages: 0, taken: 0, changed: 0, error: 'answered 500' }, TRY],
      more: true,
      failingSince: '2026-11-24T07:00:00Z',
      againInMinutes: 4,
      asked: false,
      running: false,
      setAside: 21,
    },
    'GET /sources/night-index/set-aside': {
      records: [
        {
          identifier: 'oai:n:7',
          why: 'it has no title',
          raw: '<mods/>',
          at: '2026-11-24T06:00:00Z',
        },
      ],
      more: true,
    },
    'POST /sources/night-index/tries': null,
  });
  showAt('/g/group/catalogue/sources', <SourcesPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Harvests of The Night Index' }));
  expect(await screen.findByText(/No harvest came through since .* in 4 minutes/)).toBeVisible();
  expect(screen.getByText(/answered 500/)).toBeVisible();
  expect(
    screen.getByText(/412 records on 2 pages, 18 publications changed, 1 record set aside/),
  ).toBeVisible();
  expect(await screen.findByText(/oai:n:7, since 24 Nov: it has no title/)).toBeVisible();

  await userEvent.click(screen.getByRole('button', { name: '20 records more' }));
  await userEvent.click(screen.getByRole('button', { name: 'Earlier harvests' }));
  await userEvent.click(screen.getByRole('button', { name: 'Try now' }));
  await vi.waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
  const queries = asked.filter((one) => one.query !== '').map((one) => one.query);
  expect(queries).toContain('?after=oai%3An%3A7');
  expect(queries).toContain('?before=31');
});

it('goes on looking while a try is under way, of which nothing is told yet', async () => {
  const tries = { tries: [TRY], more: false, asked: false, running: true, setAside: 0 };
  const answers: Record<string, unknown> = {
    'GET /sources': [INDEX],
    'GET /search/supplied': [SUPPLIED],
    'GET /set-aside': { steward: true, setAside: [], checks: [] },
    'GET /sources/night-index/tries': tries,
  };
  serve(answers);
  showAt('/g/group/catalogue/sources', <SourcesPage />);
  await userEvent.click(await screen.findByRole('button', { name: 'Harvests of The Night Index' }));
  expect(await screen.findByText('It is being asked.')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Try now' })).toBeNull();
  answers['GET /sources/night-index/tries'] = {
    ...tries,
    tries: [{ ...TRY, id: 33, pages: 1, taken: 5, changed: 2 }, TRY],
    running: false,
  };
  expect(
    await screen.findByText(/5 records on 1 page, 2 publications changed/, {}, { timeout: 5_000 }),
  ).toBeVisible();
  expect(screen.getByRole('button', { name: 'Try now' })).toBeVisible();
});
