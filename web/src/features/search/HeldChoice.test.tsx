import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { HeldChoice } from './HeldChoice';

const held = (name: string, title: string, text: string) => ({
  name,
  title,
  strategy: { version: 2, lines: [{ id: 'a', kind: 'words', text }] },
  count: 12,
  at: '2026-10-03T08:00:00Z',
  address: '/q/x',
});

const KNOWN = {
  saved: [held('s:1:2', 'Bats near lamps', 'bats lamps')],
  moreSaved: false,
  steps: [held('q:1', '', 'moths dimming'), held('q:2', '', 'owls')],
  moreSteps: true,
};

function Shown({ many }: { many: boolean }) {
  const [chosen, setChosen] = useState<string[]>([]);
  return (
    <>
      <HeldChoice
        many={many}
        chosen={chosen}
        onChoose={(name) => setChosen(many ? [...chosen, name] : [name])}
      />
      <p data-testid="chosen">{chosen.join(' ')}</p>
    </>
  );
}

afterEach(() => vi.unstubAllGlobals());

it('names searches with what they found and when, and says that there are more', async () => {
  serve({ 'GET /search/holdables': KNOWN });
  showAt('/g/group/search', <Shown many />);
  expect(await screen.findByLabelText(/Bats near lamps/)).not.toBeChecked();
  expect(screen.getByLabelText(/moths dimming/)).toBeInTheDocument();
  expect(screen.getAllByText('12 publications on 3 Oct')).toHaveLength(3);
  expect(screen.getAllByText('These are the latest; type a word to find others.')).toHaveLength(1);
});

it('looks for what was typed last, and keeps every letter', async () => {
  const asked = serve({ 'GET /search/holdables': KNOWN });
  showAt('/g/group/search', <Shown many />);
  await screen.findByLabelText(/Bats near lamps/);
  const field = screen.getByPlaceholderText('words of its name or lines');
  await userEvent.type(field, 'dimming owls');
  expect(field).toHaveValue('dimming owls');
  await waitFor(() => expect(asked.at(-1)?.query).toBe('?words=dimming%20owls'));
});

it('chooses one or several', async () => {
  serve({ 'GET /search/holdables': KNOWN });
  showAt('/g/group/search', <Shown many={false} />);
  await userEvent.click(await screen.findByRole('radio', { name: /owls/ }));
  await userEvent.click(screen.getByRole('radio', { name: /Bats/ }));
  expect(screen.getByTestId('chosen')).toHaveTextContent(/^s:1:2$/);
});

it('says where nothing has the words', async () => {
  serve({
    'GET /search/holdables': { saved: [], moreSaved: false, steps: [], moreSteps: false },
  });
  showAt('/g/group/search', <Shown many />);
  expect(await screen.findByText('There is no search to choose yet.')).toBeInTheDocument();
  await userEvent.type(screen.getByPlaceholderText('words of its name or lines'), 'x');
  expect(await screen.findByText('No search has these words.')).toBeInTheDocument();
});
