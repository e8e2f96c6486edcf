import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { useNotice } from '../../ui';

/** One publication; `text` is the line that led to it. */
export function useLeaf(group: string, id: string, text: string) {
  return useQuery({
    queryKey: keys.leaf(group, id, text),
    enabled: id !== '',
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}', {
          params: { path: { group, publication: id }, query: text ? { text } : {} },
          signal,
        }),
      ),
  });
}

export type MarkMade = { publication: string; mark: string; reason: string; round?: string };

const SAID: Record<string, string> = {
  pass: 'Passed',
  raise: 'Raised for the group',
  hold: 'Held',
  seen: 'Marked as seen',
};

export function useMark(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ publication, ...mark }: MarkMade) => {
      const command = newCommand();
      const marked = body(
        await api.POST('/api/groups/{group}/publications/{publication}/marks', {
          params: { path: { group, publication }, header: commandHeader(command) },
          body: mark,
        }),
      );
      return { command, marked };
    },
    onSuccess: ({ command, marked }) => {
      const what = marked.folder ? `Kept in ${marked.folder}` : SAID[marked.mark];
      tell({ text: `${what}. ${marked.note}`.trim(), command });
    },
    onError: (error) => tell({ text: error.message, bad: true }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}
