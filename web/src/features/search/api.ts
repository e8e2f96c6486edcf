import {
  keepPreviousData,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, commandHeader, keys, newCommand, Problem, type Schema } from '../../api';
import { asks, type Strategy } from '../strategy';

export const CHUNK = 50;

/** An answer with the first rows of its list. */
export type Result = { answer: Schema['Answer']; first: Schema['Hit'][] };

/**
 * Asked once for a strategy and an order; a later state of the catalogue is moved on to by hand.
 * `kept`: what of it is listed, `nowhere` or a folder; empty: all.
 */
export function useSearch(group: string, strategy: Strategy, order: string, kept = '') {
  const client = useQueryClient();
  const queryKey = keys.search(group, JSON.stringify(strategy), order, kept);
  const query = useQuery({
    queryKey,
    enabled: asks(strategy),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
    queryFn: async ({ signal }): Promise<Result> => {
      const found = body(
        await api.POST('/api/groups/{group}/search', {
          params: { path: { group } },
          body: { strategy, order, ...(kept && { kept }) },
          signal,
        }),
      );
      const { answer, problems } = found;
      // Half a word is no error of the connection: the server tells what is wrong in its answer.
      if (!answer) {
        throw new Problem(422, 'search-problem', problems[0]?.sentence ?? '', { problems });
      }
      return { answer, first: found.first };
    },
  });
  return { ...query, cancel: () => client.cancelQueries({ queryKey }) };
}

/** How many of the member's own searches wait for their turn; looked at while one takes long. */
export function useWaiting(group: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'waiting'],
    refetchInterval: 1_000,
    gcTime: 0,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/waiting', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

const LOOK_EVERY = 20_000;

/** How many of what came in since match, looked at now and then (rule O2). */
export function useSince(group: string, strategy: Strategy, shown: Schema['Answer'] | undefined) {
  return useQuery({
    queryKey: [...keys.group(group), 'since', JSON.stringify(strategy), shown?.asOf],
    enabled: shown !== undefined && asks(strategy),
    initialData: { came: 0, more: 0 },
    staleTime: LOOK_EVERY,
    refetchInterval: LOOK_EVERY,
    retry: false,
    queryFn: async ({ signal }) => {
      const now = body(
        await api.POST('/api/groups/{group}/search/count', {
          params: { path: { group } },
          body: { strategy, since: shown?.number ?? 0 },
          signal,
        }),
      );
      return { came: now.came, more: now.count - (shown?.count ?? 0) };
    },
  });
}

/** The strategy behind an address. */
export function useStrategy(group: string, q: string | undefined) {
  return useQuery({
    queryKey: keys.strategy(group, q ?? ''),
    enabled: q !== undefined,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/q/{q}', {
          params: { path: { group, q: q ?? '' } },
          signal,
        }),
      ),
  });
}

/** Settles a search: it gets an address and a step on the trail. */
export function useSettle(group: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ strategy, order }: { strategy: Strategy; order: string }) =>
      body(
        await api.POST('/api/groups/{group}/steps', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { asked: { strategy }, order },
        }),
      ),
    onSuccess: (step, { strategy }) => client.setQueryData(keys.strategy(group, step.q), strategy),
  });
}

/**
 * Rows of a list that is known by its ids, fetched in chunks as they come into sight. The first
 * chunk is already there.
 */
export function useRows(group: string, strategy: Strategy, ids: string[], first: Schema['Hit'][]) {
  const [seen, setSeen] = useState(0);
  const chunks = Array.from({ length: Math.min(Math.ceil(ids.length / CHUNK), seen + 1) }, (_, i) =>
    ids.slice(i * CHUNK, (i + 1) * CHUNK),
  );
  const answers = useQueries({
    queries: chunks.map((chunk, i) => ({
      queryKey: keys.rows(group, JSON.stringify(strategy), chunk),
      ...(i === 0 && first.length === chunk.length ? { initialData: first } : {}),
      queryFn: async ({ signal }: { signal: AbortSignal }) =>
        body(
          await api.POST('/api/groups/{group}/rows', {
            params: { path: { group } },
            body: { ids: chunk, asked: { strategy } },
            signal,
          }),
        ),
    })),
  });
  return {
    row: (index: number): Schema['Hit'] | undefined =>
      answers[Math.floor(index / CHUNK)]?.data?.find((hit) => hit.publication.id === ids[index]),
    /** The list shows rows up to this one. */
    showTo: (index: number) => setSeen((now) => Math.max(now, Math.floor(index / CHUNK))),
  };
}

/** What a result looks like from afar. */
export function useGlance(group: string, strategy: Strategy) {
  return useQuery({
    queryKey: [...keys.group(group), 'glance', JSON.stringify(strategy)],
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/glance', {
          params: { path: { group } },
          body: { strategy },
          signal,
        }),
      ),
  });
}
