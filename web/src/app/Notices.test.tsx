import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../test-server';
import { setKeys } from '../ui';
import { Notices } from './Notices';

afterEach(() => vi.unstubAllGlobals());

it('undoes by its key what it tells of, and says what stayed', async () => {
  setKeys(true);
  const asked = serve({ 'POST /actions/c1/undo': { what: 'item.keep', note: 'It stays.' } });
  const done = vi.fn();
  showAt(
    '/g/group/search',
    <Notices group="group" notice={{ text: 'Kept.', command: 'c1' }} onDone={done} />,
  );
  expect(screen.getByRole('status')).toHaveTextContent('Kept.');
  fireEvent.keyDown(document.body, { key: '0' });
  await waitFor(() => expect(done).toHaveBeenCalledWith({ text: 'Undone. It stays.' }));
  expect(asked).toHaveLength(1);
});

it('offers no undo where there is none', () => {
  showAt(
    '/g/group/search',
    <Notices group="group" notice={{ text: 'Copied.' }} onDone={vi.fn()} />,
  );
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});
