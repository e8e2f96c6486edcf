import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { NotePage } from './NotePage';
import { ReportPage } from './ReportPage';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const BLOCKS: Schema['BlockShown'][] = [
  { kind: 'paragraph', text: 'Made on a day.', columns: [], rows: [] },
  { kind: 'heading', text: 'Sources', columns: [], rows: [] },
  { kind: 'table', text: '', columns: ['source', 'found'], rows: [['The Night Index', '1,234']] },
];
const NOTE: Schema['NoteView'] = {
  note: { id: 'n1', title: 'Search report: moths', by: 'Ilse', at: '2026-11-20T08:00:00Z' },
  folder: { id: 'f1', name: 'Verges' },
  of: 'q:abc',
  blocks: BLOCKS,
};

it('shows an account, and keeps it in a folder under its name', async () => {
  const asked = serve({
    'GET /report': { title: 'Search report: moths', blocks: BLOCKS },
    'GET /folders': [
      { id: 'f1', name: 'Verges', pile: false, may: 'edit', closed: false, items: 0, searches: 0 },
    ],
    'POST /folders/f1/notes': NOTE,
  });
  showAt('/g/group/report?of=q:abc', <ReportPage />);
  expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('Search report');
  expect(screen.getByRole('cell', { name: '1,234' })).toHaveClass('text-right');
  expect(screen.getByText('Download as DOCX')).toHaveAttribute(
    'href',
    '/api/groups/group/report/docx?of=q%3Aabc',
  );
  await userEvent.click(screen.getByText('Keep in a folder'));
  await userEvent.click(await screen.findByRole('button', { name: 'Keep' }));
  await vi.waitFor(() =>
    expect(asked.find((each) => each.path === '/folders/f1/notes')?.body).toEqual({ of: 'q:abc' }),
  );
});

it('offers guests nothing to keep, and nobody an address of their own trail', async () => {
  serve({ 'GET /report': { title: 'Report of searching', blocks: BLOCKS } });
  showAt('/g/group/report?of=trail:a:b', <ReportPage />, {
    ...GROUP,
    me: { ...ME, role: 'guest' },
  });
  await screen.findByRole('heading', { level: 1 });
  expect(screen.queryByText('Keep in a folder')).toBeNull();
  expect(screen.queryByText('Address')).toBeNull();
});

it('shows a note as it was, and leads to the same today', async () => {
  serve({ 'GET /notes/undefined': NOTE, 'GET /notes/': NOTE });
  showAt('/g/group/n/n1', <NotePage />);
  expect(await screen.findByText(/Kept by Ilse on 20 November 2026/)).toBeInTheDocument();
  expect(screen.getByText('The same today')).toHaveAttribute('href', '/g/group/report?of=q%3Aabc');
});
