import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { useNotice } from '../../ui';

/** All ways to the text of a publication; whoever looks at them wants to know where they lead. */
export function useWays(group: string, publication: string) {
  const params = { path: { group, publication } };
  const ways = useQuery({
    queryKey: [...keys.living(group), 'ways', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/ways', { params, signal }),
      ),
  });
  const untried =
    ways.data?.some((way) => way.address && way.what !== 'library' && !way.tried) ?? false;
  useEffect(() => {
    if (!untried) return;
    // Where they lead is tried meanwhile; nothing is lost if it is not.
    void api.PUT('/api/groups/{group}/publications/{publication}/ways/wanted', {
      params: { path: { group, publication } },
    });
  }, [group, publication, untried]);
  return ways;
}

/** Copy requests of one publication, the newest first. */
export function useRequestsOf(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'requests', 'of', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/requests', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** A page of the group's copy requests; `before` is the last one of the page before. */
export function useRequests(group: string, state: string, mine: boolean, before: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'requests', state, mine, before],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/requests', {
          params: {
            path: { group },
            query: {
              mine,
              ...(state ? { 'request-state': state } : {}),
              ...(before ? { 'before-request': before } : {}),
            },
          },
          signal,
        }),
      ),
  });
}

/** Asks for a copy. */
export function useAsk(group: string) {
  return useAsking(
    group,
    async (
      { publication, ...asked }: { publication: string; note: string; lender?: string },
      command,
    ) =>
      body(
        await api.POST('/api/groups/{group}/publications/{publication}/requests', {
          params: { path: { group, publication }, header: commandHeader(command) },
          body: asked,
        }),
      ),
  );
}

/** Notes that the member wrote to the author. */
export function useWrote(group: string) {
  return useAsking(group, async (publication: string, command) =>
    body(
      await api.POST('/api/groups/{group}/publications/{publication}/letters', {
        params: { path: { group, publication }, header: commandHeader(command) },
      }),
    ),
  );
}

/** It can be undone as long as no library has it. */
function useAsking<Wanted>(
  group: string,
  ask: (wanted: Wanted, command: string) => Promise<Schema['Asked']>,
) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (wanted: Wanted) => {
      const command = newCommand();
      return { command, asked: await ask(wanted, command) };
    },
    onSuccess: ({ command, asked }) =>
      tell({
        text: asked.joined
          ? `Your group asked for it before (${asked.state}); you are told too.`
          : asked.state === 'sent'
            ? 'Noted that you wrote.'
            : 'Asked for a copy.',
        command,
      }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}

/** What an OpenURL means for the group; `described` is what stands behind its question mark. */
export function useDescribed(group: string, described: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'described', described],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/described', {
          params: { path: { group }, query: { described } },
          signal,
        }),
      ),
  });
}

/** Asks for a copy of what is not in the catalogue. */
export function useAskDescribed(group: string) {
  return useAsking(group, async (asked: { described: string; note: string }, command) =>
    body(
      await api.POST('/api/groups/{group}/described/requests', {
        params: { path: { group }, header: commandHeader(command) },
        body: asked,
      }),
    ),
  );
}

/** What a member says of a request: an answer for the library, that it is needed soon, its state. */
export type Saying =
  | { what: 'answer'; text: string }
  | { what: 'hurry' }
  | { what: 'state'; state: string; reason: string; link: string };

export function useSay(group: string, request: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (saying: Saying) => {
      const command = newCommand();
      const params = { path: { group, request }, header: commandHeader(command) };
      switch (saying.what) {
        case 'answer':
          body(
            await api.PUT('/api/groups/{group}/requests/{request}/answer', {
              params,
              body: { text: saying.text },
            }),
          );
          return { text: 'The library is told.' };
        case 'hurry':
          body(await api.PUT('/api/groups/{group}/requests/{request}/hurry', { params }));
          return { text: 'The library is asked how it stands.' };
        case 'state': {
          const { state, reason, link } = saying;
          body(
            await api.PUT('/api/groups/{group}/requests/{request}/state', {
              params,
              body: { state, ...(reason ? { reason } : {}), ...(link ? { link } : {}) },
            }),
          );
          return { text: `Noted: ${state}.`, command };
        }
      }
    },
    onSuccess: (notice) => tell(notice),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}
