import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, Outlet, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import type { Schema } from './api';

export const ME: Schema['Person'] = {
  id: 'me',
  name: 'Ilse',
  letters: 'Il',
  role: 'member',
  onlyFolders: false,
  librarian: false,
};
export const GROUP: Schema['GroupView'] = {
  id: 'group',
  name: 'Hollow',
  me: ME,
  members: [
    ME,
    {
      id: 'teo',
      name: 'Teodor Vance',
      letters: 'Te',
      role: 'member',
      onlyFolders: false,
      librarian: false,
    },
  ],
  today: '2026-11-24',
  zone: 'Europe/Oslo',
  membersInvite: false,
  reasons: [],
  demo: false,
};

export type Asked = {
  method: string;
  path: string;
  query: string;
  body: unknown;
  command: string | null;
};

/** JSON, or a file as it is. */
function sent(text: string): unknown {
  if (text === '') return null;
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

/** Answers requests by method and path, a function by its query; what was asked is noted. */
export function serve(answers: Record<string, unknown>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api/groups/group', '');
    const text = await request.text();
    asked.push({
      method: request.method,
      path,
      query: new URL(request.url).search,
      body: sent(text),
      command: request.headers.get('Command-Id'),
    });
    const given = answers[`${request.method} ${path}`];
    const answer: unknown =
      typeof given === 'function' ? await given(new URL(request.url).search) : given;
    const refused = answer === undefined ? { detail: `nothing at ${path}` } : null;
    return new Response(JSON.stringify(refused ?? answer), {
      status: refused ? 404 : 200,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  return asked;
}

/** Shows something as a place of the group, at an address. */
export function showAt(path: string, element: ReactNode, group = GROUP, route = '*') {
  const router = createMemoryRouter(
    [
      {
        path: '/g/:group',
        element: <Outlet context={group} />,
        children: [{ path: route, element }],
      },
    ],
    { initialEntries: [path] },
  );
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return router;
}
