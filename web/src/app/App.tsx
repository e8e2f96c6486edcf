import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { RouterProvider } from 'react-router';
import { isProblem, keys, Problem } from '../api';
import { router } from './routes';

/**
 * Who is signed out while reading is asked to sign in, and comes back. A write that is refused for
 * it stays on the page, with what was typed; so does a page that only looks for changes.
 */
function askToSignIn(error: Error, key: readonly unknown[]): void {
  const { pathname, search } = router.state.location;
  if (!isProblem(error, 'signed-out') || key[0] === keys.changes('')[0]) return;
  if (pathname === '/sign-in') return;
  void router.navigate(`/sign-in?to=${encodeURIComponent(pathname + search)}`, { replace: true });
}

function makeClient() {
  return new QueryClient({
    queryCache: new QueryCache({ onError: (error, query) => askToSignIn(error, query.queryKey) }),
    defaultOptions: {
      // Whether there is a network is known by asking: this server may be on the same machine.
      mutations: { networkMode: 'always' },
      queries: {
        networkMode: 'always',
        refetchOnReconnect: true,
        staleTime: 30_000,
        refetchOnWindowFocus: false,
        // A refusal is an answer; only a server that cannot be reached is asked again.
        retry: (failures, error) => failures < 2 && error instanceof Problem && error.status === 0,
      },
    },
  });
}

export function App() {
  const [client] = useState(makeClient);
  return (
    <QueryClientProvider client={client}>
      <RouterProvider router={router} flushSync={(draw) => void flushSync(draw)} />
    </QueryClientProvider>
  );
}
