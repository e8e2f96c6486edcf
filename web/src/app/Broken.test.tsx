import { render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import { Broken } from './Broken';

afterEach(() => vi.restoreAllMocks());

function Fails(): never {
  throw new Error('entries is not a list');
}

it('says that a page failed, and not that there is nothing', () => {
  vi.spyOn(console, 'error').mockImplementation(() => {});
  vi.spyOn(console, 'warn').mockImplementation(() => {});
  const router = createMemoryRouter([{ path: '/', element: <Fails />, errorElement: <Broken /> }]);
  render(<RouterProvider router={router} />);
  expect(screen.getByRole('alert')).toHaveTextContent('entries is not a list');
  expect(screen.queryByText(/nothing at this address/)).toBeNull();
});
