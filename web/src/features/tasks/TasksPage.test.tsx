import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { TasksPage } from './TasksPage';

afterEach(() => vi.unstubAllGlobals());

const OPEN: Schema['TaskShown'] = {
  id: 't1',
  text: 'Which lamps?',
  publication: { id: 'p1', title: 'Verge lighting' },
  doi: '10.5555/lamps',
  here: { id: 'p2', title: 'Lamps of verges' },
  due: '2026-11-20',
  late: true,
  state: 'open',
  word: '',
  by: 'Teodor Vance',
  at: '2026-11-18T10:00:00Z',
  version: 3,
};
const page = (tasks: Schema['TaskShown'][], next?: number) => ({
  tasks,
  open: tasks.length,
  mine: 0,
  nobodys: 1,
  ended: 4,
  ...(next === undefined ? {} : { next }),
});

function open(tasks: Schema['TaskShown'][], next?: number) {
  const asked = serve({
    'GET /tasks': page(tasks, next),
    'PUT /tasks/t1/owner': { id: 't1' },
    'PUT /tasks/t1/state': { id: 't1' },
    'POST /tasks': { id: 't2' },
  });
  showAt('/g/group/tasks', <TasksPage />);
  return asked;
}

it('says what is late, what has come, and is taken as it was seen', async () => {
  const asked = open([OPEN], 50);
  expect(await screen.findByText(/was due on 20 November 2026/)).toBeVisible();
  expect(screen.getByText('nobody has it yet', { exact: false })).toBeVisible();
  expect(screen.getByRole('link', { name: 'Lamps of verges' })).toHaveAttribute(
    'href',
    '/g/group/p/p2',
  );
  expect(screen.getByRole('link', { name: 'The rest' })).toHaveAttribute(
    'href',
    '/g/group/tasks?from=50',
  );
  fireEvent.click(screen.getByRole('button', { name: 'Take it' }));
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/tasks/t1/owner')?.body).toMatchObject({ version: 3 }),
  );
});

it('is given up with a word only', async () => {
  const asked = open([OPEN]);
  fireEvent.click(await screen.findByRole('button', { name: 'Give up…' }));
  const dialog = within(screen.getByRole('dialog', { hidden: true }));
  expect(dialog.getByText('Give it up')).toBeDisabled();
  fireEvent.change(dialog.getByPlaceholderText('Why, in a word'), {
    target: { value: 'no library has it' },
  });
  fireEvent.click(dialog.getByText('Give it up'));
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/tasks/t1/state')?.body).toEqual({
      state: 'given up',
      word: 'no library has it',
      version: 3,
    }),
  );
});

it('says what a task is where there is none', async () => {
  open([]);
  expect(await screen.findByText(/Nothing is to be looked up/)).toBeVisible();
});
