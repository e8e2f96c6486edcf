import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, asItIs, body, commandHeader, keys, newCommand } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

const mine = (group: string) => [...keys.living(group), 'brought'] as const;

/** How long until what goes on by itself is asked for again. */
const SOON = 700;

/** Bytes that a file may have. */
export const MOST_BYTES = 100_000_000;

/** What one brought in, the latest first; `before`: the last of the page before. */
export function useBroughtBefore(group: string, before: string | null) {
  return useQuery({
    queryKey: [...mine(group), 'lines', before],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/brought', {
          params: { path: { group }, query: before ? { before } : {} },
          signal,
        }),
      ),
  });
}

/** Files, columns and counts; asked for again while something goes on. */
export function useBrought(group: string, brought: string) {
  return useQuery({
    queryKey: [...mine(group), brought],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/brought/{brought}', {
          params: { path: { group, brought } },
          signal,
        }),
      ),
    refetchInterval: ({ state: { data } }) =>
      data && (data.reading || data.state === 'taking' || data.state === 'returning')
        ? SOON
        : false,
  });
}

/** `state`: of all of it, so that a page follows what goes on. */
export function useEntries(
  group: string,
  brought: string,
  of: string,
  from: number,
  state: string,
) {
  return useQuery({
    queryKey: [...mine(group), brought, 'entries', of, from, state],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/brought/{brought}/entries', {
          params: { path: { group, brought }, query: { of, from } },
          signal,
        }),
      ),
  });
}

export function useUnread(group: string, brought: string, from: number) {
  return useQuery({
    queryKey: [...mine(group), brought, 'problems', from],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/brought/{brought}/problems', {
          params: { path: { group, brought }, query: { from } },
          signal,
        }),
      ),
  });
}

/** Sends files as they are, one after the other; answers under which id they are looked at. */
export function useSendToBring(group: string, onSending: (name: string) => void) {
  return useMutation({
    mutationFn: async (files: File[]) => {
      const long = files.find((file) => file.size > MOST_BYTES);
      if (long) throw new Error(`“${long.name}” has more than 100 MB: divide it.`);
      const { id } = body(
        await api.POST('/api/groups/{group}/brought', {
          params: { path: { group }, header: commandHeader(newCommand()) },
        }),
      );
      for (const [n, file] of files.entries()) {
        onSending(file.name);
        await api.PUT('/api/groups/{group}/brought/{brought}/files/{n}', {
          params: { path: { group, brought: id, n }, query: { name: file.name } },
          ...asItIs(file),
        });
      }
      return id;
    },
  });
}

export function useColumns(group: string, brought: string, n: number) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (holds: Record<string, string>) => {
      await api.PUT('/api/groups/{group}/brought/{brought}/files/{n}/columns', {
        params: { path: { group, brought, n } },
        body: { holds },
      });
    },
    onSettled: () => client.invalidateQueries({ queryKey: [...mine(group), brought] }),
  });
}

export type Decision = 'same' | 'another' | 'out' | null;

/** One entry, or all that were found as something. */
export type ToDecide = { decision: Decision; publication?: string } & (
  { entries: number[] } | { of: string }
);

/** Of one entry, and of several. */
const DECIDED: Record<string, [string, string]> = {
  same: ['is what is here', 'are what is here'],
  another: ['is another work', 'are other works'],
  out: ['is left out', 'are left out'],
};

/** What can be done with what one brings in. */
export function useBringing(group: string, brought: string) {
  const path = { group, brought };
  return {
    decide: useAct(
      group,
      async (wanted: ToDecide, header) =>
        body(
          await api.PUT('/api/groups/{group}/brought/{brought}/decisions', {
            params: { path, header },
            body: wanted,
          }),
        ),
      ({ entries }, { decision }) => {
        const said = decision ? DECIDED[decision]?.[entries === 1 ? 0 : 1] : undefined;
        return `${counted(entries, 'entry', 'entries')} ${said ?? (entries === 1 ? 'is as it was' : 'are as they were')}.`;
      },
    ),
    take: useAct(
      group,
      async (folder: string, header) =>
        body(
          await api.POST('/api/groups/{group}/brought/{brought}/taken', {
            params: { path, header },
            body: { folder },
          }),
        ),
      () => 'It is being taken. Its receipt takes it back.',
      { stays: () => true, quiet: true },
    ),
    giveBack: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/brought/{brought}/taken', {
            params: { path, header },
          }),
        ),
      () => 'It is being taken back.',
      { stays: () => true },
    ),
    giveOneBack: useAct(
      group,
      async (n: number, header) =>
        body(
          await api.DELETE('/api/groups/{group}/brought/{brought}/entries/{n}/taken', {
            params: { path: { ...path, n }, header },
          }),
        ),
      () => 'The entry is taken back; it can be decided anew.',
      { stays: () => true },
    ),
    leave: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/brought/{brought}', { params: { path, header } }),
        ),
      () => 'Nothing of it was taken.',
      { stays: () => true },
    ),
  };
}
