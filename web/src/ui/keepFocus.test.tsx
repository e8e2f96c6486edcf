import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { keepFocus } from './keepFocus';

function Page() {
  const [there, setThere] = useState(true);
  const [whole, setWhole] = useState(true);
  return (
    <main id="main" tabIndex={-1}>
      {whole && (
        <section tabIndex={-1} data-testid="around">
          {there && <button onClick={() => setThere(false)}>Strike</button>}
          <button onClick={() => setWhole(false)}>Fold</button>
        </section>
      )}
    </main>
  );
}

let stop: () => void;
beforeEach(() => {
  stop = keepFocus();
});
afterEach(() => stop());

it('gives the focus to what is left around what had it', async () => {
  render(<Page />);
  await userEvent.click(screen.getByText('Strike'));
  await waitFor(() => expect(screen.getByTestId('around')).toHaveFocus());
});

it('gives it to the content where nothing around is left', async () => {
  render(<Page />);
  await userEvent.click(screen.getByText('Fold'));
  await waitFor(() => expect(screen.getByRole('main')).toHaveFocus());
});
