import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, useRefresh, type Schema } from '../../api';
import { counted, useNotice } from '../../ui';
import type { Strategy } from '../strategy';

export function useAlerts(group: string) {
  return useQuery({
    queryKey: keys.alerts(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/alerts', { params: { path: { group } }, signal })),
  });
}

export function useAlert(group: string, alert: string) {
  return useQuery({
    queryKey: keys.alert(group, alert),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/alerts/{alert}', {
          params: { path: { group, alert } },
          signal,
        }),
      ),
  });
}

/** What an alert on a strategy would bring. */
/** What an alert tells: what is new to its search, or what changes of that which it finds. */
export type Tells = 'new' | 'changes';

export function useForeseen(group: string, strategy: Strategy, tells: Tells) {
  return useQuery({
    queryKey: [...keys.living(group), 'foreseen', strategy, tells],
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/alerts/foreseen', {
          params: { path: { group } },
          body: { strategy, tells },
          signal,
        }),
      ),
  });
}

/** What an alert would find if it ran, or went on, now; `asked`: each time is another answer. */
export function useTrial(group: string, alert: string, asked: number) {
  return useQuery({
    enabled: asked > 0,
    queryKey: [...keys.alert(group, alert), 'trial', asked],
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/alerts/{alert}/trial', {
          params: { path: { group, alert } },
          signal,
        }),
      ),
  });
}

/** What an alert did not remember of what its search found; `before`: the last of the page before. */
export function useDifferences(group: string, alert: string, before: number | null) {
  return useQuery({
    queryKey: [...keys.alert(group, alert), 'differences', before],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/alerts/{alert}/differences', {
          params: { path: { group, alert }, query: before === null ? {} : { before } },
          signal,
        }),
      ),
  });
}

/** What came of what an alert brought. */
export function useYield(group: string, alert: string, enabled: boolean) {
  return useQuery({
    enabled,
    queryKey: [...keys.alert(group, alert), 'yield'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/alerts/{alert}/yield', {
          params: { path: { group, alert } },
          signal,
        }),
      ),
  });
}

export function useAgreement(group: string, alert: string, enabled: boolean) {
  return useQuery({
    enabled,
    queryKey: [...keys.alert(group, alert), 'agreement'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/alerts/{alert}/agreement', {
          params: { path: { group, alert } },
          signal,
        }),
      ),
  });
}

export function useRunNow(group: string, alert: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async () =>
      body(
        await api.POST('/api/groups/{group}/alerts/{alert}/run', {
          params: { path: { group, alert } },
        }),
      ),
    onSuccess: ({ found }) => {
      tell({ text: found === 0 ? 'Checked, nothing.' : `Found ${counted(found, 'publication')}.` });
      refresh();
    },
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}

/** Who may be behind the name of an author. */
export function useAuthorAsked(group: string, publication: string, n: number) {
  return useQuery({
    queryKey: [...keys.living(group), 'author', publication, n],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/authors/{n}', {
          params: { path: { group, publication, n } },
          signal,
        }),
      ),
  });
}

export function useSetAlert(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (alert: Schema['AlertWanted']) => {
      const command = newCommand();
      const set = body(
        await api.POST('/api/groups/{group}/alerts', {
          params: { path: { group }, header: commandHeader(command) },
          body: alert,
        }),
      );
      return { command, set };
    },
    onSuccess: ({ command, set }) => {
      const there = counted(set.baseline - set.past, 'publication');
      const told =
        set.tells === 'changes'
          ? `What changes of the ${there} is told from now on.`
          : `The ${there} that are here already will not be announced.`;
      const past =
        set.past > 0 ? `Its first round gathers ${counted(set.past, 'arrival')} of the past. ` : '';
      tell({
        text: `“${set.name}” is watched. ${past}${told}`,
        command,
      });
      refresh();
    },
  });
}

/** Folders of the group that keeps can go into. */
export function useFolderNames(group: string) {
  return useQuery({
    queryKey: keys.folders(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/folders', { params: { path: { group } }, signal })),
    select: (folders) => folders.filter((folder) => folder.may === 'edit' && !folder.closed),
  });
}
