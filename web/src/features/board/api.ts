import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';

/** What a board is asked for; what is empty is left to the server. */
export type BoardAsked = { by?: string; from?: string; to?: string; alert?: string };

/** What the address says of it. */
export function askedBy(params: URLSearchParams): BoardAsked {
  return Object.fromEntries(
    (['by', 'from', 'to', 'alert'] as const)
      .map((name) => [name, params.get(name) ?? ''] as const)
      .filter(([, value]) => value !== ''),
  );
}

export function useBoard(group: string, asked: BoardAsked) {
  return useQuery({
    queryKey: [...keys.board(group), asked],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/board', {
          params: { path: { group }, query: asked },
          signal,
        }),
      ),
  });
}
