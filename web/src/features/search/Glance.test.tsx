import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { Glance } from './Glance';

afterEach(() => vi.unstubAllGlobals());

const GLANCE: Schema['GlanceShown'] = {
  count: 120,
  heading: { label: 'Moths', note: 'Night-flying Lepidoptera.', count: 90 },
  years: [
    { value: '2026', count: 20 },
    { value: '2025', count: 100 },
  ],
  cited: [],
  reviews: [],
  reviewCount: 0,
  journals: [{ value: 'Lamp & Landscape', count: 12 }],
  headings: [{ value: 'Moths', count: 90 }],
};

it('leads on from each line of a settled search', async () => {
  serve({
    'POST /search/glance': GLANCE,
    'GET /folders': [{ id: 'f1', name: 'Verges', pile: false, items: 0, searches: 0 }],
  });
  showAt('/g/group/q/abc', <Glance strategy={strategyOfText('moths')} q="abc" />);
  const years = await screen.findByRole('region', { name: 'Publications per year' });
  expect(within(years).getByText('2025')).toHaveAttribute(
    'href',
    '/g/group/search?with=abc&limit=date&from=2025&to=2025',
  );
  expect(screen.getByText('Lamp & Landscape')).toHaveAttribute(
    'href',
    '/g/group/search?with=abc&limit=journal&only=Lamp+%26+Landscape',
  );
  expect(screen.getByText('Night-flying Lepidoptera.')).toBeInTheDocument();
  expect(screen.getByRole('region', { name: 'Most cited' })).toHaveTextContent('None in this');
  await userEvent.click(screen.getByText('Keep as a note of today'));
  expect(await screen.findByRole('dialog')).toHaveTextContent('Keep it in a folder');
});

it('cannot be kept before the search is settled', async () => {
  serve({ 'POST /search/glance': { ...GLANCE, heading: undefined, years: [] } });
  showAt('/g/group/search', <Glance strategy={strategyOfText('moths')} q={undefined} />);
  expect(await screen.findByText('No year is known.')).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Keep as a note of today' })).toBeDisabled();
});
