import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { JournalsPage } from './JournalsPage';

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const FOUND: Schema['JournalsShown'] = {
  found: 1,
  journals: [
    {
      issn: '9999-1004',
      title: 'Lamp & Landscape',
      by: 'Lamp and Street',
      discipline: 'planning',
      access: 'held',
      count: 12,
    },
  ],
  disciplines: [{ name: 'planning', journals: 4 }],
  letters: ['A', 'L'],
};

const JOURNAL: Schema['JournalFacts'] = {
  issn: '9999-1004',
  title: 'Lamp & Landscape',
  publisher: 'Hollow Press',
  discipline: 'planning',
  since: 1996,
  former: [{ title: 'Lamp and Street', until: 2002 }],
  sources: [{ key: 'index', name: 'The Night Index', count: 12, first: 2024, last: 2025 }],
  mayRead: [{ from: '2001-01-01', embargo: 'not the last 12 months', free: false }],
  line: {
    id: 'journal',
    kind: 'limit',
    property: 'journal',
    chosen: ['Lamp & Landscape', 'Lamp and Street'],
  },
  count: 12,
  years: [{ year: 2025, count: 12 }],
};

it('looks journals up, and shows one with what may be read', async () => {
  const asked = serve({
    'GET /journals': FOUND,
    'GET /journals/9999-1004': JOURNAL,
    'GET /journals/9999-1004/years/2025': [],
  });
  const router = showAt('/g/group/catalogue/journals', <JournalsPage />);
  await userEvent.click(await screen.findByRole('link', { name: 'Lamp & Landscape' }));
  expect(router.state.location.search).toBe('?j=9999-1004');
  const pane = await screen.findByRole('region', { name: 'Journal' });
  expect(await screen.findByText(/Until 2002 called/)).toHaveTextContent('Lamp and Street');
  expect(pane).toHaveTextContent('2001 to now, but not the last 12 months.');
  expect(pane).toHaveTextContent('not peer reviewed');
  expect(screen.getByText('Search only here')).toHaveAttribute(
    'href',
    '/g/group/search?limit=journal&only=Lamp+%26+Landscape&only=Lamp+and+Street',
  );
  await userEvent.click(screen.getByRole('button', { name: 'L' }));
  expect(router.state.location.search).toContain('letter=L');
  expect(asked.filter((each) => each.path === '/journals').length).toBeGreaterThan(1);
});

it('says so where nothing is known of a journal', async () => {
  serve({ 'GET /journals': { ...FOUND, found: 0, journals: [] } });
  showAt('/g/group/catalogue/journals?words=zz', <JournalsPage />);
  expect(await screen.findByText(/No journal is like that/)).toBeInTheDocument();
});
