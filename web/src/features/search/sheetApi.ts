import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { useNotice } from '../../ui';
import { useAct } from '../session';
import { asks, type Line, type Strategy } from '../strategy';

/** What there is to know and to offer about the words of a line. */
export function useLineHelp(group: string, strategy: Strategy, line: string | null) {
  return useQuery({
    queryKey: [...keys.group(group), 'line', JSON.stringify(strategy), line],
    enabled: line !== null,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/line', {
          params: { path: { group } },
          body: { strategy, line: line ?? '' },
          signal,
        }),
      ),
  });
}

/** What would help a search that finds too few. */
export function useWaysOut(group: string, strategy: Strategy, wanted: boolean) {
  return useQuery({
    queryKey: [...keys.group(group), 'ways-out', JSON.stringify(strategy)],
    enabled: wanted,
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/ways-out', {
          params: { path: { group } },
          body: { strategy },
          signal,
        }),
      ),
  });
}

export function useSuggestions(group: string, typed: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'suggestions', typed],
    enabled: typed.length >= 2,
    staleTime: 60_000,
    retry: false,
    // While a word goes on, the list stays until the next one is there: it does not go from under a key.
    placeholderData: (former: Schema['SuggestionShown'][] | undefined, query) =>
      typed.startsWith(String(query?.queryKey.at(-1) ?? '-')) ? former : undefined,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/suggestions', {
          params: { path: { group }, query: { typed } },
          signal,
        }),
      ),
  });
}

/** A strategy as one line of CQL and as a sentence. */
export function useRendered(group: string, strategy: Strategy) {
  return useQuery({
    queryKey: [...keys.group(group), 'cql', JSON.stringify(strategy)],
    enabled: asks(strategy),
    staleTime: Infinity,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/cql', {
          params: { path: { group } },
          body: { strategy },
          signal,
        }),
      ),
  });
}

export function useReadCql(group: string) {
  return useMutation({
    mutationFn: async (cql: string) =>
      body(
        await api.POST('/api/groups/{group}/search/cql/read', {
          params: { path: { group } },
          body: { cql },
        }),
      ),
  });
}

export function usePassage(group: string) {
  return useMutation({
    mutationFn: async (text: string) =>
      body(
        await api.POST('/api/groups/{group}/search/passage', {
          params: { path: { group } },
          body: { text },
        }),
      ).line,
  });
}

/** What an empty sheet can begin with, and what lines can hold. */
export function useBeginnings(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'beginnings'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/beginnings', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

export function useLimitSets(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'limit-sets'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/limit-sets', { params: { path: { group } }, signal }),
      ),
  });
}

const NO_LINES: readonly Line[] = [];

/** The limits that a new sheet of the group begins with; undefined while they are not known. */
export function useUsualLimits(group: Schema['GroupView']): readonly Line[] | undefined {
  const sets = useLimitSets(group.id);
  if (!group.usualLimits || sets.isError) return NO_LINES;
  return sets.data && (sets.data.find((one) => one.id === group.usualLimits)?.limits ?? NO_LINES);
}

/** Keeps the limits in force under a name, for the group. */
export function useKeepLimits(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ name, strategy }: { name: string; strategy: Strategy }) => {
      const command = newCommand();
      const made = body(
        await api.POST('/api/groups/{group}/limit-sets', {
          params: { path: { group }, header: commandHeader(command) },
          body: { name, strategy },
        }),
      );
      return { command, made };
    },
    onSuccess: ({ command, made }) => {
      tell({ text: `Limits kept for the group as “${made.name}”.`, command });
      void client.invalidateQueries({ queryKey: [...keys.living(group), 'limit-sets'] });
    },
  });
}

/** Takes a set of limits away; sheets that it was put on keep its limits. */
export function useRemoveLimits(group: string) {
  return useAct(
    group,
    async (set: string, header) =>
      body(
        await api.DELETE('/api/groups/{group}/limit-sets/{set}', {
          params: { path: { group, set }, header },
        }),
      ),
    (gone) => `“${gone.name}” was removed.`,
  );
}

/** Saved searches of the group and steps of the member, by words of theirs. */
export function useHoldables(group: string, words: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'holdables', words],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/holdables', {
          params: { path: { group }, query: { words } },
          signal,
        }),
      ),
  });
}

/** What a held strategy is called. */
export function useHeldTitle(group: string, name: string): string {
  return useHeld(group, name).data?.title ?? '…';
}

/** What a held strategy is called, and which has taken its place. */
export function useHeld(group: string, name: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'held', name],
    staleTime: 60_000,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/held', {
          params: { path: { group }, query: { name } },
          signal,
        }),
      ),
  });
}
