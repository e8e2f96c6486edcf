import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { holdStrayClicks } from './strayClicks';

function Page() {
  const [sent, setSent] = useState(false);
  const [back, setBack] = useState(false);
  const [more, setMore] = useState(0);
  return (
    <>
      {sent ? (
        <button onClick={() => setBack(true)}>Take it back</button>
      ) : (
        <button onClick={() => setSent(true)}>Send</button>
      )}
      <button onClick={() => setMore(more + 1)}>Later</button>
      <p>{back ? 'taken back' : 'there'}</p>
      <p>{more} later</p>
    </>
  );
}

let stop: () => void;
beforeEach(() => {
  stop = holdStrayClicks();
  render(<Page />);
});
afterEach(() => stop());

it('keeps a second click from what came in the place of what was clicked', () => {
  fireEvent.click(screen.getByText('Send'), { detail: 1 });
  fireEvent.click(screen.getByText('Take it back'), { detail: 2 });
  expect(screen.getByText('there')).toBeInTheDocument();
  // Whoever clicks on means it.
  fireEvent.click(screen.getByText('Take it back'), { detail: 3 });
  expect(screen.getByText('taken back')).toBeInTheDocument();
});

it('lets quick clicks on one thing be as many as they are', () => {
  for (const detail of [1, 2, 3]) fireEvent.click(screen.getByText('Later'), { detail });
  expect(screen.getByText('3 later')).toBeInTheDocument();
});

it('lets keys and single clicks through, wherever they were before', () => {
  fireEvent.click(screen.getByText('Send'), { detail: 1 });
  fireEvent.click(screen.getByText('Take it back'), { detail: 0 });
  expect(screen.getByText('taken back')).toBeInTheDocument();
});
