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
  VISIT_ENDED,
  type Schema,
} from '../../api';
import { counted, useNotice } from '../../ui';
import { useAct } from '../session';
import type { Strategy } from '../strategy';

export function useFolders(group: string) {
  return useQuery({
    queryKey: keys.folders(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/folders', { params: { path: { group } }, signal })),
  });
}

/** Those that the member may change. */
export function useFoldersToChange(group: string): Schema['FolderLine'][] {
  return (useFolders(group).data ?? []).filter((folder) => folder.may === 'edit');
}

export function useAddFolder(group: string) {
  return useAct(
    group,
    async (name: string, header) =>
      body(
        await api.POST('/api/groups/{group}/folders', {
          params: { path: { group }, header },
          body: { name },
        }),
      ),
    (made) => `The folder “${made.name}” was made.`,
    { quiet: true },
  );
}

/** In place of a folder: the member's own pile. */
export const PILE = 'pile';

export type Keep = { folder: string; publications: string[]; note: string; step?: string };

/** Keeps one publication or several, as one act. */
export function useKeep(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    scope: { id: 'marks' },
    mutationFn: async ({ folder, ...keep }: Keep) => {
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
    },
    onSuccess: ({ command, kept }) => {
      tell({ text: keptSentence(kept), command });
      refresh();
    },
    onError: (error, keep) => {
      if (!hasEnded(error)) return;
      leaveForLater({ what: 'keep', group, keep });
      tell({ text: VISIT_ENDED, bad: true });
    },
  });
}

export function keptSentence(kept: Schema['KeepResult']): string {
  const { publications: all, added, folder } = kept;
  if (all > 1) {
    const there = all - added;
    return there === 0
      ? `${counted(all, 'publication')} kept in ${folder}.`
      : `${counted(added, 'publication')} kept in ${folder}; ${there} ${there === 1 ? 'was' : 'were'} already there.`;
  }
  const where = kept.already
    ? `Already in ${folder}, kept by ${kept.keeper}.`
    : `Kept in ${folder}.`;
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
