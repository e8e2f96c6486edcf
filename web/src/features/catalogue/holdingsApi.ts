import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { counted, useNotice } from '../../ui';
import type { Chosen } from './BringFile';

/** Whose holdings: the group's, in print at its library, a member's own. */
export type Shelf = 'group' | 'printed' | 'own';

export function useHoldings(group: string, shelf: Shelf) {
  return useQuery({
    queryKey: [...keys.living(group), 'holdings', shelf],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/holdings/{shelf}', {
          params: { path: { group, shelf } },
          signal,
        }),
      ),
  });
}

/** Where the group's library is asked by links. */
export function useLibrary(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'library'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/library', { params: { path: { group } }, signal })),
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
        await api.PUT('/api/groups/{group}/library', {
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
export function useLookAtHoldings(group: string, shelf: Shelf) {
  return useMutation({
    mutationFn: async (file: Chosen) =>
      body(
        await api.POST('/api/groups/{group}/holdings/{shelf}/look', {
          params: { path: { group, shelf } },
          body: file,
        }),
      ),
  });
}

/** Takes in a holdings file in place of the one before. */
export function useTakeHoldings(group: string, shelf: Shelf) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (file: Chosen) =>
      body(
        await api.PUT('/api/groups/{group}/holdings/{shelf}', {
          params: { path: { group, shelf }, header: commandHeader(newCommand()) },
          body: file,
        }),
      ),
    onSuccess: (taken) => {
      const left = taken.problems.length;
      const rest = left > 0 ? ` ${counted(left, 'line')} could not be used.` : '';
      tell({
        text:
          taken.titles > 0
            ? `${counted(taken.titles, 'stretch', 'stretches')} taken in.${rest}`
            : 'The file is taken away.',
      });
      // What can be read changes lists, counts and leaves.
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}
