import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../../test-server';
import { NoticeContext } from '../../../ui';
import { lineText, type Line } from '../../strategy';
import { useSheet } from '../useSheet';
import { LimitLine } from './LimitLine';
import { LimitSetsDialog } from './LimitSetsDialog';

const RECENT = {
  id: 'set1',
  name: 'Recent',
  by: 'Teodor Vance',
  limits: [{ id: '1', kind: 'limit', property: 'date', from: '2020' }],
};

const OLD: Line = { id: 'y', kind: 'limit', property: 'date', from: '1990', to: '1999' };

const tell = vi.fn();
const keys = { up: tell, down: tell, moveUp: tell, moveDown: tell, strike: tell, add: tell };

function Shown() {
  const sheet = useSheet(() => [OLD]);
  return (
    <NoticeContext.Provider value={tell}>
      <p>{sheet.lines.map((line) => lineText(line)).join(' · ')}</p>
      {sheet.lines[0] && <LimitLine line={sheet.lines[0]} keys={keys} onOpen={() => undefined} />}
      <LimitSetsDialog sheet={sheet} onClose={() => undefined} />
    </NoticeContext.Provider>
  );
}

const show = () => {
  const asked = serve({
    'GET /limit-sets': [RECENT],
    'GET /sources': [],
    'DELETE /limit-sets/set1': RECENT,
  });
  showAt('/g/group/search', <Shown />);
  return asked;
};

beforeAll(() => {
  HTMLDialogElement.prototype.showModal = function (this: HTMLDialogElement) {
    this.open = true;
  };
});

afterEach(() => {
  tell.mockClear();
  vi.unstubAllGlobals();
});

it('says what a set of limits replaced, and on the line whose it is', async () => {
  show();
  await userEvent.click(await screen.findByText('Recent'));
  expect(tell).toHaveBeenCalledWith(
    expect.objectContaining({
      text: expect.stringContaining('in place of Years: 1990 to 1999') as string,
    }),
  );
  expect(screen.getByText('from the group’s “Recent”, kept by Teodor Vance')).toBeInTheDocument();
});

it('removes a set', async () => {
  const asked = show();
  await userEvent.click(await screen.findByRole('button', { name: 'Remove Recent' }));
  await waitFor(() =>
    expect(asked.map(({ method, path }) => `${method} ${path}`)).toContain(
      'DELETE /limit-sets/set1',
    ),
  );
});
