import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { counted, useNotice } from '../../ui';

export function useFolders(group: string) {
  return useQuery({
    queryKey: keys.folders(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/folders', { params: { path: { group } }, signal })),
  });
}

export function useFolder(group: string, folder: string) {
  return useQuery({
    queryKey: keys.folder(group, folder),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}

export function useSavedSearch(group: string, search: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'searches', search],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/searches/{search}', {
          params: { path: { group, search } },
          signal,
        }),
      ),
  });
}

function useRefresh(group: string) {
  const client = useQueryClient();
  // Nobody waits for it: what was done is done, and lists follow as they can.
  return () => void client.invalidateQueries({ queryKey: keys.living(group) });
}

export function useAddFolder(group: string) {
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (name: string) =>
      body(
        await api.POST('/api/groups/{group}/folders', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { name },
        }),
      ),
    onSuccess: refresh,
  });
}

type Keep = { folder: string; publication: string; note: string; step?: string };

export function useKeep(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async ({ folder, ...keep }: Keep) => {
      const command = newCommand();
      const kept = body(
        await api.POST('/api/groups/{group}/folders/{folder}/items', {
          params: { path: { group, folder }, header: commandHeader(command) },
          body: keep,
        }),
      );
      return { command, kept };
    },
    onSuccess: ({ command, kept }) => {
      tell({ text: keptSentence(kept), command });
      refresh();
    },
  });
}

export function keptSentence(kept: Schema['Kept']): string {
  const where = kept.already
    ? `Already in ${kept.folder}, kept by ${kept.keeper}.`
    : `Kept in ${kept.folder}.`;
  return kept.elsewhere.length > 0 ? `${where} Also in ${kept.elsewhere.join(', ')}.` : where;
}

export function useSaveSearch(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async ({ folder, name, text }: { folder: string; name: string; text: string }) => {
      const command = newCommand();
      const saved = body(
        await api.POST('/api/groups/{group}/folders/{folder}/searches', {
          params: { path: { group, folder }, header: commandHeader(command) },
          body: { name, asked: { text } },
        }),
      );
      return { command, saved };
    },
    onSuccess: ({ command, saved }) => {
      const found = counted(saved.count, 'publication');
      tell({ text: `“${saved.name}” saved in ${saved.folder.name} with ${found}.`, command });
      refresh();
    },
  });
}
