import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useOutletContext } from 'react-router';
import { api, body, changesSince, keys, newCommand, type Schema } from '../../api';
import { setZone } from '../../ui';

const LOOK_EVERY = 4000;

export function useMe() {
  return useQuery({
    queryKey: keys.me,
    queryFn: async ({ signal }) => body(await api.GET('/api/me', { signal })),
  });
}

export function useGroup(group: string) {
  return useQuery({
    queryKey: keys.group(group),
    queryFn: async ({ signal }) => {
      const view = body(
        await api.GET('/api/groups/{group}', { params: { path: { group } }, signal }),
      );
      setZone(view.zone);
      return view;
    },
  });
}

/** The group whose place is shown, and who is there. */
export function useHere(): Schema['GroupView'] {
  return useOutletContext<Schema['GroupView']>();
}

export function mayWrite(group: Schema['GroupView']): boolean {
  return group.me.role !== 'guest';
}

/** The first answer brings the token for writing. */
export async function withToken(): Promise<void> {
  if (!document.cookie.includes('XSRF-TOKEN')) await api.GET('/api/me').catch(() => null);
}

/** A visit that begins knows nothing of the one before. */
function useBegin<Words>(begin: (words: Words) => Promise<Schema['Me']>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (words: Words) => {
      await withToken();
      return begin(words);
    },
    onSuccess: (me) => {
      client.clear();
      client.setQueryData(keys.me, me);
    },
  });
}

export function useSignIn() {
  return useBegin(async (words: Schema['SignIn']) =>
    body(await api.POST('/api/session', { body: words })),
  );
}

/** The time zone that whoever looks at the page is in. */
export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** Whom a link is for. */
export function useEntry(code: string) {
  return useQuery({
    queryKey: keys.entry(code),
    queryFn: async () => {
      await withToken();
      return body(await api.POST('/api/entry', { body: { code } }));
    },
    retry: false,
  });
}

export function useEnter() {
  return useBegin(async (words: Schema['EntryWords']) =>
    body(await api.POST('/api/entry/visit', { body: words })),
  );
}

/** Asks for a link by mail to choose another password. */
export function useForgotten() {
  return useMutation({
    mutationFn: async (email: string) => {
      await withToken();
      await api.POST('/api/entry/forgotten', { body: { email } });
    },
  });
}

/** Confirms that an address is one's own; answers it. */
export function useConfirmAddress() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (code: string) => {
      await withToken();
      return body(await api.POST('/api/entry/address', { body: { code } })).email;
    },
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.me }),
  });
}

/** Founds a group, once however often it is pressed, and leads on before anything is read anew. */
export function useFound(then: (group: string) => void) {
  const client = useQueryClient();
  const [founding] = useState(newCommand);
  return useMutation({
    mutationFn: async (wanted: Schema['GroupWanted']) =>
      body(
        await api.PUT('/api/foundings/{founding}', {
          params: { path: { founding } },
          body: wanted,
        }),
      ),
    onSuccess: ({ id }) => {
      then(id);
      void client.invalidateQueries({ queryKey: keys.me });
    },
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      await api.DELETE('/api/session');
    },
    // What stood on the sheet and was ticked is the member's, not the window's.
    onSuccess: () => {
      sessionStorage.clear();
      client.clear();
    },
  });
}

/** Looks every few seconds, while the page is visible, whether others did something. */
export function useLiveGroup(group: string, client: QueryClient): void {
  const latest = useRef(-1);
  const changes = useQuery({
    queryKey: keys.changes(group),
    queryFn: async ({ signal }) => {
      const news = await changesSince(group, latest.current, signal);
      const first = latest.current < 0;
      if (news) latest.current = news.latest;
      return { number: latest.current, kinds: first ? [] : (news?.kinds ?? []) };
    },
    refetchInterval: LOOK_EVERY,
    staleTime: 0,
    retry: false,
  });
  const { number, kinds } = changes.data ?? { number: 0, kinds: [] };
  const happened = kinds.length > 0;
  // Who is in the group stands in the frame, beside what lives.
  const people = kinds.some((kind) => kind.startsWith('member.'));
  useEffect(() => {
    if (!happened) return;
    void client.invalidateQueries({ queryKey: keys.living(group) });
    if (people) void client.invalidateQueries({ queryKey: keys.group(group), exact: true });
  }, [number, happened, people, group, client]);
}
