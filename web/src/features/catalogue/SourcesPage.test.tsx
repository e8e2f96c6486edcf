import { screen } from '@testing-library/react';
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
