import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';

type Round = Schema['RoundLine'];

export function useRounds(group: string) {
  return useQuery({
    queryKey: keys.rounds(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/rounds', { params: { path: { group } }, signal })),
  });
}

export function useRound(group: string, round: string) {
  return useQuery({
    queryKey: keys.round(group, round),
    enabled: round !== '',
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/rounds/{round}', {
          params: { path: { group, round } },
          signal,
        }),
      ),
  });
}

/** How many arrivals of a round a member has not reviewed; guests owe nothing. */
export function owedIn(round: Round, member: string): number {
  const reviewed = round.reviewed[member];
  return reviewed === undefined ? 0 : round.arrivals - reviewed;
}

/** How many arrivals wait for a member in all rounds. */
export function useOwed(group: string, member: string): number {
  const rounds = useRounds(group);
  return (rounds.data ?? []).reduce((sum, round) => sum + owedIn(round, member), 0);
}
