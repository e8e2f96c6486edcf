import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';

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

/** What the member opened, newest first, a hundred at a time. */
export function useOpened(group: string, words: string) {
  return useInfiniteQuery({
    queryKey: [...keys.group(group), 'trail', 'opened', words],
    initialPageParam: 0,
    queryFn: async ({ signal, pageParam }) =>
      body(
        await api.GET('/api/groups/{group}/trail/opened', {
          params: { path: { group }, query: { words, before: pageParam } },
          signal,
        }),
      ),
    getNextPageParam: (last) => last.next ?? undefined,
  });
}

/** The counts of two strategies beside each other, all of one state. */
export function useComparison(group: string, one: string, other: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'comparison', one, other],
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/comparison', {
          params: { path: { group }, query: { one, other } },
          signal,
        }),
      ),
  });
}
