import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { NoticeContext } from '../../ui';
import { serve, showAt } from '../../test-server';
import { FoldersPage } from '.';

afterEach(() => vi.unstubAllGlobals());

it('makes a folder with its undo beside it, and keeps what is typed meanwhile', async () => {
  const tell = vi.fn();
  const asked = serve({
    'GET /folders': [],
    'GET /searches/to-check': [],
    'POST /folders': { id: 'f1', name: 'Owls' },
  });
  showAt(
    '/g/group/folders',
    <NoticeContext value={tell}>
      <FoldersPage />
    </NoticeContext>,
  );
  const name = await screen.findByLabelText('New folder');
  fireEvent.change(name, { target: { value: 'Owls' } });
  fireEvent.click(screen.getByText('Make it'));
  // The next name, before the first is answered.
  fireEvent.change(name, { target: { value: 'Toads' } });
  await waitFor(() => expect(tell).toHaveBeenCalled());
  const post = asked.find((one) => one.method === 'POST');
  expect(tell).toHaveBeenCalledWith({
    text: 'The folder “Owls” was made.',
    command: post?.command,
  });
  expect(name).toHaveValue('Toads');
});
