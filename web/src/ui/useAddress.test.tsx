import { cleanup, render, screen } from '@testing-library/react';
import { useEffect } from 'react';
import { flushSync } from 'react-dom';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { useAddress } from '.';

afterEach(cleanup);

function Shown({ atOnce }: { atOnce: boolean }) {
  const { params, change } = useAddress();
  // As keys are heard: by the browser, outside of what draws the page.
  useEffect(() => {
    const pressed = () => change('p', 'moths', { replace: true, atOnce });
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  });
  return <p>{params.get('p') ?? 'nothing'}</p>;
}

it.each([
  [true, 'moths'],
  [false, 'nothing'],
])('shows at once what the next key is meant for, if asked to: %s', (atOnce, expected) => {
  const router = createMemoryRouter([{ path: '/', element: <Shown atOnce={atOnce} /> }]);
  render(<RouterProvider router={router} flushSync={(draw) => void flushSync(draw)} />);
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'j' }));
  expect(screen.getByText(expected)).toBeDefined();
  expect(router.state.location.search).toBe('?p=moths');
});
