import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { useNotice } from '../../ui';

type Strategy = { version: number; lines: Schema['LineBody'][] };

function leafOf(group: string, id: string, strategy: Strategy | null) {
  return queryOptions({
    queryKey: keys.leaf(group, id, JSON.stringify(strategy)),
    queryFn: async ({ signal }) => {
      const params = { path: { group, publication: id } };
      return strategy
        ? body(
            await api.POST('/api/groups/{group}/publications/{publication}/leaf', {
              params,
              body: { strategy },
              signal,
            }),
          )
        : body(await api.GET('/api/groups/{group}/publications/{publication}', { params, signal }));
    },
  });
}

/** One publication; `strategy` is the search that led to it, if one did. */
export function useLeaf(group: string, id: string, strategy: Strategy | null) {
  return useQuery({
    ...leafOf(group, id, strategy),
    enabled: id !== '',
    placeholderData: keepPreviousData,
  });
}

/** What meetings of the group came to on a publication. */
export function useDecided(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'decided', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/decisions', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** Has publications at hand before somebody comes to them, be it without a network then. */
export function useAhead(group: string, ids: readonly string[]): void {
  const client = useQueryClient();
  const all = ids.join(' ');
  useEffect(() => {
    for (const id of all.split(' ').filter(Boolean)) {
      const leaf = leafOf(group, id, null);
      // What is here already is asked for again when somebody comes to it.
      if (!client.getQueryState(leaf.queryKey)) void client.prefetchQuery(leaf);
    }
  }, [client, group, all]);
}

/** Notes on the member's own trail that a publication was opened. */
export function useOpening(group: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({
      publication,
      step,
      downloaded,
    }: {
      publication: string;
      step?: string;
      /** Its text was taken along. */
      downloaded?: boolean;
    }) => {
      await api.PUT('/api/groups/{group}/publications/{publication}/opened', {
        params: { path: { group, publication } },
        body: { ...(step ? { step } : {}), ...(downloaded ? { downloaded } : {}) },
      });
    },
    onSuccess: () => void client.invalidateQueries({ queryKey: [...keys.living(group), 'rows'] }),
  });
}

/** A work was opened from an entry of a feed: it is seen, where the member chose so for that. */
export function useOpenedFromFeed(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ feed, publication }: { feed: string; publication: string }) => {
      const command = newCommand();
      const { seen } = body(
        await api.POST('/api/groups/{group}/feeds/{feed}/opened', {
          params: { path: { group, feed }, header: commandHeader(command) },
          body: { publication },
        }),
      );
      return { command, seen };
    },
    onSuccess: ({ command, seen }) => {
      if (seen) tell({ text: 'Seen, as you chose for the feed that you came from.', command });
    },
    // A feed that was revoked, or is somebody else's, marks nothing, and needs no words.
    onError: () => undefined,
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}

/** Takes the member's own mark away, whenever it was made. */
export function usePutOut(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    scope: { id: 'marks' },
    mutationFn: async (publications: string[]) => {
      const command = newCommand();
      const out = body(
        await api.DELETE('/api/groups/{group}/marks', {
          params: { path: { group }, header: commandHeader(command) },
          body: { publications },
        }),
      );
      return { command, out };
    },
    onSuccess: ({ command, out }) =>
      tell({ text: `Your lamp is out again. ${out.note}`.trim(), command }),
    onError: (error) => tell({ text: error.message, bad: true }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}

/** What of it the member has read, by their own word; it can be taken back at once or later. */
export function useSayRead(group: string, publication: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (extent: 'nothing' | 'abstract' | 'text') => {
      const command = newCommand();
      body(
        await api.PUT('/api/groups/{group}/publications/{publication}/read', {
          params: { path: { group, publication }, header: commandHeader(command) },
          body: { extent },
        }),
      );
      return command;
    },
    onSuccess: (command, extent) =>
      tell({ text: extent === 'nothing' ? 'Taken back.' : `Read: ${extent}.`, command }),
    onError: (error) => tell({ text: error.message, bad: true }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}

/** The ways from a publication to others. */
export function useOutward(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'outward', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/outward', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** The versions of a work, as each source supplied it. */
export function useVersions(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'versions', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/versions', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** What changed of a publication since it came, the latest first. */
export function useHistory(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'history', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/history', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}
