import { useMutation, useQuery } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, useRefresh } from '../../api';
import { useNotice } from '../../ui';

/** A written account, made now. `of` names it. */
export function useReport(group: string, of: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'report', of],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/report', {
          params: { path: { group }, query: { of } },
          signal,
        }),
      ),
  });
}

/** An account kept in a folder, as it was on its day. */
export function useNote(group: string, note: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'note', note],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/notes/{note}', {
          params: { path: { group, note } },
          signal,
        }),
      ),
  });
}

export function useKeepNote(group: string) {
  const refresh = useRefresh(group);
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ folder, of }: { folder: string; of: string }) => {
      const command = newCommand();
      const kept = body(
        await api.POST('/api/groups/{group}/folders/{folder}/notes', {
          params: { path: { group, folder }, header: commandHeader(command) },
          body: { of },
        }),
      );
      return { command, kept };
    },
    onSuccess: ({ command, kept }) => {
      tell({ text: `Kept in ${kept.folder.name} as it is today.`, command });
      refresh();
    },
  });
}
