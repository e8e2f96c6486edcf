import {
  keepPreviousData,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';

export const CHUNK = 50;

export function useSearch(group: string, text: string, order: string) {
  return useQuery({
    queryKey: keys.search(group, text, order),
    enabled: text.trim() !== '',
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search', {
          params: { path: { group } },
          body: { text, order },
          signal,
        }),
      ),
  });
}

/** The text behind an address; one line so far. */
export function useStrategyText(group: string, q: string | undefined) {
  return useQuery({
    queryKey: keys.strategy(group, q ?? ''),
    enabled: q !== undefined,
    staleTime: Infinity,
    queryFn: async ({ signal }) => {
      const found = body(
        await api.GET('/api/groups/{group}/q/{q}', {
          params: { path: { group, q: q ?? '' } },
          signal,
        }),
      );
      return found.lines.map((line) => line.text).join(' ');
    },
  });
}

/** Settles a search: it gets an address and a step on the trail. */
export function useSettle(group: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ text, order }: { text: string; order: string }) =>
      body(
        await api.POST('/api/groups/{group}/steps', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { asked: { text }, order },
        }),
      ),
    onSuccess: (step, { text }) => client.setQueryData(keys.strategy(group, step.q), text),
  });
}

/**
 * Rows of a list that is known by its ids, fetched in chunks as they come into sight. The first
 * chunk is already there.
 */
export function useRows(group: string, text: string, ids: string[], first: Schema['Hit'][]) {
  const [seen, setSeen] = useState(0);
  const chunks = Array.from({ length: Math.min(Math.ceil(ids.length / CHUNK), seen + 1) }, (_, i) =>
    ids.slice(i * CHUNK, (i + 1) * CHUNK),
  );
  const answers = useQueries({
    queries: chunks.map((chunk, i) => ({
      queryKey: keys.rows(group, text, chunk),
      ...(i === 0 && first.length === chunk.length ? { initialData: first } : {}),
      queryFn: async ({ signal }: { signal: AbortSignal }) =>
        body(
          await api.POST('/api/groups/{group}/rows', {
            params: { path: { group } },
            body: text ? { ids: chunk, asked: { text } } : { ids: chunk },
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
