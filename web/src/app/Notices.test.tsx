import { render, screen, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve } from '../test-server';
import { Act } from '../ui';
import { Notices } from './Notices';
import { useUndo } from './useUndo';

afterEach(() => vi.unstubAllGlobals());

function Place() {
  const { notice, tell, back, left, close } = useUndo('group', 'me');
  return (
    <>
      {['a', 'b'].map((command) => (
        <Act key={command} onClick={() => tell({ text: `did ${command}`, command })}>
          {`do ${command}`}
        </Act>
      ))}
      <Notices notice={notice} left={left} onBack={back} onClose={close} />
    </>
  );
}

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Place />
    </QueryClientProvider>,
  );
}

it('undoes the last act, goes on back, and each once however fast the key is', async () => {
  const answer = { what: 'x', note: '' };
  const asked = serve({ 'POST /actions/a/undo': answer, 'POST /actions/b/undo': answer });
  show();
  await userEvent.click(screen.getByText('do a'));
  await userEvent.click(screen.getByText('do b'));
  expect(screen.getByText('did b')).toBeInTheDocument();
  await userEvent.keyboard('000');
  await waitFor(() => expect(asked).toHaveLength(2));
  expect(asked.map((one) => one.path)).toEqual(['/actions/b/undo', '/actions/a/undo']);
  expect(await screen.findByText('Undone.')).toBeInTheDocument();
  expect(screen.queryByText(/Undo the one/)).toBeNull();
});

it('says why something stays', async () => {
  serve({});
  show();
  await userEvent.click(screen.getByText('do a'));
  await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
  expect(await screen.findByText(/nothing at/)).toHaveClass('text-error');
});
