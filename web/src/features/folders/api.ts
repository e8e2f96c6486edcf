import { useMutation, useQuery } from '@tanstack/react-query';
import {
  api,
  body,
  commandHeader,
  hasEnded,
  keys,
  leaveForLater,
  newCommand,
  useRefresh,
  type Schema,
} from '../../api';
import { counted, useNotice } from '../../ui';
import type { Strategy } from '../strategy';

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

/** In place of a folder: the member's own pile. */
export const PILE = 'pile';

export type Keep = { folder: string; publications: string[]; note: string; step?: string };

/** Keeps one after the other; each is an act of its own, and the last one can be undone at once. */
export function useKeep(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async ({ folder, publications, ...why }: Keep) => {
      let last: { command: string; kept: Schema['Kept'] } | undefined;
      for (const publication of publications) {
        last = await keepOne(group, folder, { publication, ...why });
      }
      return last;
    },
    onSuccess: (last, { publications }) => {
      if (last && publications.length === 1) {
        tell({ text: keptSentence(last.kept), command: last.command });
      } else if (last) {
        tell({
          text: `${counted(publications.length, 'publication')} kept in ${last.kept.folder}.`,
        });
      }
      refresh();
    },
    onError: (error, keep) => {
      if (!hasEnded(error)) return;
      leaveForLater({ what: 'keep', group, keep });
      refresh();
    },
  });
}

async function keepOne(
  group: string,
  folder: string,
  keep: { publication: string; note: string; step?: string },
) {
  const command = newCommand();
  const header = commandHeader(command);
  const kept = body(
    folder === PILE
      ? await api.POST('/api/groups/{group}/pile/items', {
          params: { path: { group }, header },
          body: keep,
        })
      : await api.POST('/api/groups/{group}/folders/{folder}/items', {
          params: { path: { group, folder }, header },
          body: keep,
        }),
  );
  return { command, kept };
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
    mutationFn: async ({
      folder,
      name,
      strategy,
    }: {
      folder: string;
      name: string;
      strategy: Strategy;
    }) => {
      const command = newCommand();
      const saved = body(
        await api.POST('/api/groups/{group}/folders/{folder}/searches', {
          params: { path: { group, folder }, header: commandHeader(command) },
          body: { name, asked: { strategy } },
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

/** The dated notes of a folder. */
export function useNotes(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'notes'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/notes', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}
