import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';

/** Of which arrivals; what is empty is not asked for. */
export type AskedFlow = { alert?: string; from?: string; to?: string };

export function askedFlow(params: URLSearchParams): AskedFlow {
  return Object.fromEntries(
    ['alert', 'from', 'to'].flatMap((key) => {
      const value = params.get(key);
      return value ? [[key, value]] : [];
    }),
  );
}

/** What became of what alerts found. */
export function useFlow(group: string, asked: AskedFlow) {
  return useQuery({
    queryKey: [...keys.arrivals(group), 'flow', asked],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/flow', {
          params: { path: { group }, query: asked },
          signal,
        }),
      ),
  });
}

/** The works that a number of it counts, page by page. */
export function useFlowWorks(group: string, asked: AskedFlow, number: string) {
  return useInfiniteQuery({
    queryKey: [...keys.arrivals(group), 'flow', asked, number],
    initialPageParam: 0,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/flow/works', {
          params: { path: { group }, query: { ...asked, number, after: pageParam } },
          signal,
        }),
      ),
    getNextPageParam: ({ next }) => next ?? null,
  });
}
