import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import type { Strategy } from '../strategy';

/** The member's own steps, newest first, fifty at a time. */
export function useTrail(group: string, words: string) {
  return useInfiniteQuery({
    queryKey: [...keys.group(group), 'trail', words],
    initialPageParam: '',
    queryFn: async ({ signal, pageParam }) =>
      body(
        await api.GET('/api/groups/{group}/trail', {
          params: {
            path: { group },
            query: { words, ...(pageParam ? { before: pageParam } : {}) },
          },
          signal,
        }),
      ),
    getNextPageParam: (last) => (last.more ? last.steps[last.steps.length - 1]?.id : undefined),
  });
}

/** What the member opened last. */
export function useOpened(group: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'trail', 'opened'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/trail/opened', { params: { path: { group } }, signal }),
      ),
  });
}

/** How many a strategy finds. */
export function useCount(group: string, strategy: Strategy) {
  return useQuery({
    queryKey: [...keys.group(group), 'count', JSON.stringify(strategy)],
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/count', {
          params: { path: { group } },
          body: { strategy },
          signal,
        }),
      ).count,
  });
}
