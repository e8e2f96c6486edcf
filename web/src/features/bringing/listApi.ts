import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, useRefresh, type Schema } from '../../api';
import { counted, useNotice } from '../../ui';

/** What was pasted last stays for the visit: looking at a work and coming back loses nothing. */
export const PASTED = 'lantern.references';

/** Letters that a task has at most. */
const TASK = 999;

/** What a task says of an entry that is not here; the server knows it by this. */
export function taskOf({ text, doi }: Schema['ListedShown']): { text: string; doi?: string } {
  const cut = text.length > TASK ? `${text.slice(0, TASK).trim()}…` : text;
  return { text: cut, ...(doi && { doi }) };
}

/** Which references of a pasted list are here; empty: nothing was pasted yet. */
export function useListed(group: string, pasted: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'reference list', pasted],
    enabled: pasted.trim() !== '',
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/reference-list', {
          params: { path: { group } },
          body: { text: pasted },
          signal,
        }),
      ),
  });
}

/** Notes entries to be looked up, one after the other; each is an act of its own. */
export function useNoteAll(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (entries: readonly Schema['ListedShown'][]) => {
      for (const entry of entries) {
        await api.POST('/api/groups/{group}/tasks', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: taskOf(entry),
        });
      }
    },
    onSuccess: (_, entries) =>
      tell({ text: `${counted(entries.length, 'reference')} noted to be looked up.` }),
    onError: (error) => tell({ text: error.message, bad: true }),
    onSettled: refresh,
  });
}
