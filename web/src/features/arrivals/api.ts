import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';

type Round = Schema['RoundLine'];

/** Rounds page by page; the first page also says what waits in all of them. */
export function useRounds(group: string, asked = true) {
  return useInfiniteQuery({
    queryKey: keys.rounds(group),
    enabled: asked,
    initialPageParam: null as string | null,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/rounds', {
          params: {
            path: { group },
            query: pageParam ? { before: pageParam } : {},
          },
          signal,
        }),
      ),
    getNextPageParam: ({ rounds, older }) =>
      older > 0 ? (rounds[rounds.length - 1]?.id ?? null) : null,
  });
}

/** How a round is shown; what is empty is as usual. */
export type RoundShownAs = { order?: string; left?: string };

export function useRound(group: string, round: string, as: RoundShownAs = {}) {
  return useQuery({
    queryKey: [...keys.round(group, round), as],
    enabled: round !== '',
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/rounds/{round}', {
          params: { path: { group, round }, query: as },
          signal,
        }),
      ),
  });
}

/** How much is in each list of arrivals. */
export function useListCounts(group: string) {
  return useQuery({
    queryKey: keys.arrivals(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/arrivals', { params: { path: { group } }, signal })),
  });
}

/** A list of arrivals, page by page. */
export function useArrivalList(group: string, list: string) {
  return useInfiniteQuery({
    queryKey: [...keys.arrivals(group), list],
    initialPageParam: null as string | null,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/arrivals/{list}', {
          params: { path: { group, list }, query: pageParam ? { after: pageParam } : {} },
          signal,
        }),
      ),
    getNextPageParam: ({ next }) => next ?? null,
  });
}

/** How many arrivals of a round a member still owes; guests owe nothing. */
export function owedIn(round: Round, member: string): number {
  const reviewed = round.reviewed[member];
  return reviewed === undefined ? 0 : (round.shares[member] ?? round.arrivals) - reviewed;
}

/** How many arrivals wait for the member in all rounds. */
export function useOwed(group: string, asked = true): number {
  return useRounds(group, asked).data?.pages[0]?.owed ?? 0;
}
