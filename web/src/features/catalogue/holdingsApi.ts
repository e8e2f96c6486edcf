import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { counted, useNotice } from '../../ui';
import type { Chosen } from './BringFile';

export function useHoldings(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'holdings'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/holdings', { params: { path: { group } }, signal })),
  });
}

/** Notes where the group's library is asked by links. */
export function useNoteLibrary(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (library: { name: string; address: string }) => {
      const command = newCommand();
      body(
        await api.PUT('/api/groups/{group}/holdings/library', {
          params: { path: { group }, header: commandHeader(command) },
          body: library,
        }),
      );
      return command;
    },
    onSuccess: (command) => {
      tell({ text: 'Where links lead is noted.', command });
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}

/** What a holdings file would change. */
export function useLookAtHoldings(group: string) {
  return useMutation({
    mutationFn: async (file: Chosen) =>
      body(
        await api.POST('/api/groups/{group}/holdings/look', {
          params: { path: { group } },
          body: file,
        }),
      ),
  });
}

/** Takes in a holdings file in place of the one before. */
export function useTakeHoldings(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (file: Chosen) =>
      body(
        await api.PUT('/api/groups/{group}/holdings', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: file,
        }),
      ),
    onSuccess: (taken) => {
      const left = taken.problems.length;
      const rest = left > 0 ? ` ${counted(left, 'line')} could not be used.` : '';
      tell({ text: `${counted(taken.titles, 'stretch', 'stretches')} taken in.${rest}` });
      // What can be read changes lists, counts and leaves.
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}
