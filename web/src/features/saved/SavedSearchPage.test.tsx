import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, ME, serve, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { SavedSearchPage } from './SavedSearchPage';

afterEach(() => vi.unstubAllGlobals());

const revision = (n: number, more: Partial<Schema['RevisionShown']> = {}) => ({
  n,
  strategy: strategyOfText('dimm*'),
  lines: [{ id: 'a', text: `dimm* ${n}`, off: false, remarks: [] }],
  count: 40,
  comment: '',
  by: 'Teodor Vance',
  mine: false,
  at: '2026-11-20T08:00:00Z',
  checks: [],
  ...more,
});

const HISTORY: Schema['HistoryShown'] = {
  search: {
    id: 's1',
    name: 'Dimming',
    folder: { id: 'f1', name: 'Verges' },
    revision: 2,
    strategy: strategyOfText('dimm*'),
    count: 40,
    by: 'Teodor Vance',
    at: '2026-11-20T08:00:00Z',
    documented: false,
  },
  now: 41,
  revisions: [revision(2, { gained: 5, lost: 1, comment: 'curfews too' }), revision(1)],
  runs: [],
  notes: [],
};

const show = (history: Schema['HistoryShown'], group = GROUP) => {
  const asked = serve({
    'GET /searches/undefined/history': history,
    'GET /searches//history': history,
    'POST /searches/s1/revisions/2/remarks': {},
    'PUT /searches/s1/revisions/2/checked': {},
  });
  showAt('/g/group/s/s1', <SavedSearchPage />, group);
  return asked;
};

it('shows revisions with what each changed, the newest open', async () => {
  show(HISTORY);
  const second = await screen.findByRole('region', { name: 'Revision 2' });
  expect(second).toHaveTextContent('5 gained, 1 lost');
  expect(second).toHaveTextContent('curfews too');
  expect(second).toHaveTextContent('dimm* 2');
  const first = screen.getByRole('region', { name: 'Revision 1' });
  expect(first).not.toHaveTextContent('dimm* 1');
  await userEvent.click(within(first).getByText('Its lines'));
  expect(first).toHaveTextContent('dimm* 1');
});

it('takes a remark on a line, and a check', async () => {
  const asked = show(HISTORY);
  const second = await screen.findByRole('region', { name: 'Revision 2' });
  await userEvent.click(within(second).getByText('Remark'));
  await userEvent.type(screen.getByLabelText('Remark on dimm* 2'), 'and part-night?{Enter}');
  expect(second).toHaveTextContent('and part-night?');
  expect(screen.queryByLabelText('Remark on dimm* 2')).toBeNull();
  await userEvent.click(within(second).getByText('I have checked it'));
  await vi.waitFor(() =>
    expect(asked.map((each) => each.path)).toContain('/searches/s1/revisions/2/checked'),
  );
  expect(asked.find((each) => each.path.endsWith('/remarks'))?.body).toEqual({
    line: 'a',
    text: 'and part-night?',
  });
});

it('offers a guest nothing to write', async () => {
  show(HISTORY, { ...GROUP, me: { ...ME, role: 'guest' } });
  await screen.findByRole('region', { name: 'Revision 2' });
  for (const act of ['Remark', 'I have checked it', 'Document it', 'Change it on the sheet']) {
    expect(screen.queryByText(act)).toBeNull();
  }
  expect(screen.getByText('Search for it now')).toBeInTheDocument();
});
