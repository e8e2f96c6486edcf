import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { counted, useNotice } from '../../ui';
import type { Chosen } from './BringFile';

/** What taking a file of journals in would change. */
export function useLookAtJournals(group: string) {
  return useMutation({
    mutationFn: async ({ file }: Chosen) =>
      body(
        await api.POST('/api/groups/{group}/journals/look', {
          params: { path: { group } },
          body: { file },
        }),
      ),
  });
}

export function useTakeJournals(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ file }: Chosen) =>
      body(
        await api.PUT('/api/groups/{group}/journals', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { file },
        }),
      ),
    onSuccess: (changes) => {
      tell({ text: `${counted(changes.journals, 'journal')} taken in.` });
      // What is known of journals changes access, limits and lists.
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}
