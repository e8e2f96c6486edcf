import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, body, commandHeader, keys, newCommand, useRefresh } from '../../api';
import { counted, useNotice } from '../../ui';
import type { Strategy } from '../strategy';

const searches = (group: string) => [...keys.living(group), 'searches'] as const;

export function useSavedSearch(group: string, search: string | undefined) {
  return useQuery({
    queryKey: [...searches(group), search],
    enabled: search !== undefined,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/searches/{search}', {
          params: { path: { group, search: search ?? '' } },
          signal,
        }),
      ),
  });
}

export function useHistory(group: string, search: string) {
  return useQuery({
    queryKey: [...searches(group), search, 'history'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/searches/{search}/history', {
          params: { path: { group, search } },
          signal,
        }),
      ),
  });
}

/** Revisions that wait for the reader's check. */
export function useToCheck(group: string) {
  return useQuery({
    queryKey: [...searches(group), 'to check'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/searches/to-check', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

/** What saving a strategy as the next revision would gain and lose. */
export function useChange(group: string, search: string, strategy: Strategy) {
  return useQuery({
    queryKey: [...searches(group), search, 'change', JSON.stringify(strategy)],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/searches/{search}/change', {
          params: { path: { group, search } },
          body: { strategy },
          signal,
        }),
      ),
  });
}

export function useRevise(group: string, search: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (draft: {
      strategy: Strategy;
      revision: number;
      comment: string;
      announce: boolean;
    }) => {
      const { strategy, ...rest } = draft;
      const command = newCommand();
      const saved = body(
        await api.POST('/api/groups/{group}/searches/{search}/revisions', {
          params: { path: { group, search }, header: commandHeader(command) },
          body: { asked: { strategy }, ...rest },
        }),
      );
      return { command, saved };
    },
    onSuccess: ({ command, saved }) => {
      tell({
        text: `Saved as revision ${saved.n}, with ${counted(saved.count, 'publication')}: ${saved.gained} gained, ${saved.lost} lost.`,
        command,
      });
      refresh();
    },
  });
}

/** Something said about a saved search; it is told with its undo. */
function useSaying<T>(group: string, act: (what: T, command: string) => Promise<string>) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (what: T) => {
      const command = newCommand();
      return { command, text: await act(what, command) };
    },
    onSuccess: (notice) => {
      tell(notice);
      refresh();
    },
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}

export function useDocument(group: string, search: string) {
  return useSaying(group, async (documented: boolean, command) => {
    await api.PUT('/api/groups/{group}/searches/{search}/documented', {
      params: { path: { group, search }, header: commandHeader(command) },
      body: { documented },
    });
    return documented
      ? 'Documented from now on: each change asks why, each run is kept.'
      : 'Not documented any more; what was kept stays.';
  });
}

export function useGive(group: string, search: string, n: number) {
  return useSaying(group, async (member: { id: string; name: string }, command) => {
    await api.POST('/api/groups/{group}/searches/{search}/revisions/{n}/checks', {
      params: { path: { group, search, n }, header: commandHeader(command) },
      body: { member: member.id },
    });
    return `Revision ${n} is given to ${member.name} to check.`;
  });
}

export function useChecked(group: string, search: string, n: number) {
  return useSaying(group, async (_: null, command) => {
    await api.PUT('/api/groups/{group}/searches/{search}/revisions/{n}/checked', {
      params: { path: { group, search, n }, header: commandHeader(command) },
    });
    return `Revision ${n} is checked by you.`;
  });
}

export function useRemark(group: string, search: string, n: number) {
  return useSaying(group, async (remark: { line: string; text: string }, command) => {
    await api.POST('/api/groups/{group}/searches/{search}/revisions/{n}/remarks', {
      params: { path: { group, search, n }, header: commandHeader(command) },
      body: remark,
    });
    return `Remark on a line of revision ${n}.`;
  });
}

/** Runs a saved search and leads on to what it finds. */
export function useRun(group: string) {
  const navigate = useNavigate();
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (search: string) =>
      body(
        await api.POST('/api/groups/{group}/searches/{search}/runs', {
          params: { path: { group, search }, header: commandHeader(newCommand()) },
        }),
      ),
    onSuccess: (step) => {
      refresh();
      void navigate(`/g/${group}/q/${step.q}?order=here`, { state: { focus: true } });
    },
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}
