import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { counted, useNotice } from '../../ui';

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
export function useArrivalList(group: string, list: string, show: string) {
  return useInfiniteQuery({
    queryKey: [...keys.arrivals(group), list, show],
    initialPageParam: null as string | null,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/arrivals/{list}', {
          params: {
            path: { group, list },
            query: { ...(show && { show }), ...(pageParam && { after: pageParam }) },
          },
          signal,
        }),
      ),
    getNextPageParam: ({ next }) => next ?? null,
  });
}

/** What waits for the member, by alert. */
export function useOwedByAlert(group: string) {
  return useQuery({
    queryKey: [...keys.arrivals(group), 'owed', 'by alert'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/arrivals/owed/by-alert', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

/** Lets rest what waits for the member: of an alert, or what came before a day. */
export function useLetRest(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (what: { alert?: string; before?: string }) => {
      const command = newCommand();
      const { arrivals } = body(
        await api.POST('/api/groups/{group}/arrivals/rest', {
          params: { path: { group }, header: commandHeader(command) },
          body: what,
        }),
      );
      return { command, arrivals };
    },
    onSuccess: ({ command, arrivals }) =>
      tell({ text: `Let rest: ${counted(arrivals, 'arrival')}.`, command }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
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
