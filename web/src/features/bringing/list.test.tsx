import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { ListPage } from './ListPage';

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const WORK: Schema['BesideShown'] = {
  title: 'Reeds at weirs',
  people: ['Reed'],
  year: 2024,
  where: 'Reeds',
  kind: 'article',
  pages: '3, 1–9',
  doi: '10.5555/reed.1',
};

it('looks a list up, and notes what is not here', async () => {
  const asked = serve({
    'POST /reference-list': {
      entries: [
        {
          text: 'Reed (2024). Reeds at weirs.',
          doi: '',
          fit: 'sure',
          publication: 'p1',
          work: WORK,
          folders: [{ id: 'f1', name: 'Verges' }],
        },
        { text: 'Nobody (1987).', doi: '10.5555/no.1', folders: [] },
      ],
      most: 1000,
    },
    'POST /tasks': { id: 't1' },
    'POST /brought': { id: 'b1' },
    'PUT /brought/b1/files/0': {},
  });
  showAt('/g/group/references', <ListPage />);
  await userEvent.type(screen.getByLabelText(/Paste the references/), 'Reed');
  await userEvent.click(screen.getByText('Look them up'));
  expect(
    await screen.findByText('2 references: 1 here, 0 perhaps here, 1 not here.'),
  ).toBeVisible();
  expect(screen.getByText(/in Verges/)).toBeVisible();
  await userEvent.click(screen.getByText('Bring in the 1 that is not, as they are cited'));
  await waitFor(() => expect(asked.map(({ path }) => path)).toContain('/brought/b1/files/0'));
  await userEvent.click(screen.getByText('To be looked up'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === '/tasks')?.body).toEqual({
      text: 'Nobody (1987).',
      doi: '10.5555/no.1',
    }),
  );
});
