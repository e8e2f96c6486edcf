import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { api, body } from '../../api';

const LOOK_AGAIN = 2000;

/** While the groups' past is arriving: how far it is. Everything else is read anew when it is there. */
export function demoPast(client: QueryClient) {
  return queryOptions({
    queryKey: ['demo'],
    queryFn: async ({ signal }) => {
      const before = client.getQueryData<{ pastUntil?: string }>(['demo']);
      const now = body(await api.GET('/api/demo', { signal }));
      if (before?.pastUntil && !now.pastUntil) {
        void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'demo' });
      }
      return now;
    },
    refetchInterval: (query) => (query.state.data?.pastUntil ? LOOK_AGAIN : false),
    staleTime: Infinity,
  });
}
