import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { FlowPage } from './FlowPage';

afterEach(() => vi.unstubAllGlobals());

const REASONS = Array.from({ length: 14 }, (_, n) => ({
  key: `passed:reason ${n}`,
  label: `reason ${n}`,
  n: 2,
}));
const FLOW: Schema['FlowShown'] = {
  from: '2025-11-25',
  to: '2026-11-24',
  name: 'flow:all:2025-11-25:2026-11-24',
  drawing: {
    width: 730,
    height: 60,
    arrows: ['M0 0 V10'],
    boxes: [
      {
        x: 0,
        y: 0,
        width: 330,
        height: 50,
        lines: [
          { text: 'Passed', n: 28, key: 'passed', y: 20 },
          { text: '14 others, in the table', n: 28, key: '', y: 44 },
        ],
      },
    ],
  },
  boxes: [
    { key: 'found', label: 'Records found', n: 80, side: false, parts: [] },
    { key: 'joined', label: 'Other records of the same works', n: 5, side: true, parts: [] },
    { key: 'passed', label: 'Passed', n: 28, side: true, parts: REASONS },
    { key: 'kept', label: 'Works kept', n: 0, side: false, parts: [] },
  ],
};

function open(at = '/g/group/flow') {
  const asked = serve({
    'GET /flow': FLOW,
    'GET /alerts': [{ id: 'a1', name: 'Bats' }],
    'GET /flow/works': (query: string) => ({
      count: 3,
      works: [
        { id: query.includes('after=50') ? 'w2' : 'w1', title: 'Verges', authors: ['Oxlade'] },
      ],
      ...(query.includes('after=50') ? {} : { next: 50 }),
    }),
  });
  showAt(at, <FlowPage />);
  return asked;
}

it('has every number in its table, also what the drawing has no room for', async () => {
  open();
  const table = within(await screen.findByRole('table'));
  expect(table.getAllByRole('row')).toHaveLength(FLOW.boxes.length + REASONS.length + 1);
  expect(table.getByRole('row', { name: 'reason 13 2' })).toBeVisible();
  expect(within(table.getByRole('row', { name: 'Works kept 0' })).queryByRole('link')).toBeNull();
  const drawing = within(screen.getByRole('group', { name: 'Flow' }));
  expect(drawing.getAllByRole('link', { hidden: true })).toHaveLength(1);
});

it('leads from a number to its works, page by page, and back', async () => {
  open();
  const row = within(await screen.findByRole('row', { name: /Other records of the same works/ }));
  fireEvent.click(row.getByRole('link'));
  expect(await screen.findByText('They are records of 3 works.')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'The next fifty' }));
  await waitFor(() => expect(screen.getAllByRole('link', { name: 'Verges' })).toHaveLength(2));
  fireEvent.click(screen.getByRole('button', { name: 'All numbers' }));
  expect(await screen.findByRole('table')).toBeVisible();
});

it('asks for an alert and its days, and names who reviewed only by choice', async () => {
  const asked = open();
  await screen.findByRole('option', { name: 'Bats' });
  fireEvent.change(screen.getByLabelText('Of which alert'), { target: { value: 'a1' } });
  fireEvent.change(screen.getByLabelText('from'), { target: { value: '2026-01-01' } });
  await waitFor(() =>
    expect(asked.some(({ query }) => query === '?alert=a1&from=2026-01-01')).toBe(true),
  );
  const docx = () => screen.getByRole('link', { name: 'Download as DOCX' }).getAttribute('href');
  expect(docx()).not.toContain('names');
  fireEvent.click(screen.getByLabelText('files name who reviewed'));
  expect(docx()).toContain('names');
});
