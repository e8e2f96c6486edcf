import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import { SignInPage } from '.';

function answer(status: number, body: unknown) {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json' },
  });
}

function show(to: string, status: number, body: unknown) {
  document.cookie = 'XSRF-TOKEN=token';
  const asked: Request[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    asked.push(request);
    return answer(status, body);
  });
  const router = createMemoryRouter(
    [
      { path: '/sign-in', element: <SignInPage /> },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [`/sign-in?to=${encodeURIComponent(to)}`] },
  );
  render(
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return { router, asked };
}

async function signIn() {
  await userEvent.type(screen.getByLabelText('E-mail'), 'ilse@ternhollow.example');
  await userEvent.type(screen.getByLabelText('Password'), 'secret{Enter}');
}

afterEach(() => vi.unstubAllGlobals());

it('sends the token and leads on to where the visitor came from', async () => {
  const { router, asked } = show('/g/abc/f/def', 200, { email: 'x', groups: [] });
  await signIn();
  await screen.findByText('elsewhere');
  expect(router.state.location.pathname).toBe('/g/abc/f/def');
  expect(asked[0]?.headers.get('X-XSRF-TOKEN')).toBe('token');
});

it('leads to no address of others', async () => {
  const { router } = show('//evil.example/g/', 200, { email: 'x', groups: [] });
  await signIn();
  await screen.findByText('elsewhere');
  expect(router.state.location.pathname).toBe('/');
});

it('says why it was refused and keeps what was typed', async () => {
  show('/', 401, { type: 'urn:quietlantern:wrong-words', detail: 'They do not go together.' });
  await signIn();
  expect(await screen.findByRole('alert')).toHaveTextContent('They do not go together.');
  expect(screen.getByLabelText('E-mail')).toHaveValue('ilse@ternhollow.example');
});
