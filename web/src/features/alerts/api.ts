import { useMutation, useQuery } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, useRefresh } from '../../api';
import { counted, useNotice } from '../../ui';

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

export function useFeeds(group: string) {
  return useQuery({
    queryKey: keys.feeds(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/feeds', { params: { path: { group } }, signal })),
  });
}

export function useSetAlert(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
    mutationFn: async (alert: { search: string; rhythm: string }) => {
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
      const there = counted(set.baseline, 'publication');
      tell({
        text: `“${set.name}” is watched. The ${there} that are here already will not be announced.`,
        command,
      });
      refresh();
    },
  });
}

export function useSubscribe(group: string) {
  const refresh = useRefresh(group);
  const tell = useNotice();
  return useMutation({
    mutationFn: async (alert: string) =>
      body(
        await api.POST('/api/groups/{group}/alerts/{alert}/feed', {
          params: { path: { group, alert }, header: commandHeader(newCommand()) },
        }),
      ),
    onSuccess: refresh,
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}

export function useRevoke(group: string) {
  const refresh = useRefresh(group);
  const tell = useNotice();
  return useMutation({
    mutationFn: async (feed: string) => {
      await api.POST('/api/groups/{group}/feeds/{feed}/revoke', {
        params: { path: { group, feed }, header: commandHeader(newCommand()) },
      });
    },
    onSuccess: () => {
      tell({ text: 'The address is revoked. Readers that still ask are told that it is gone.' });
      refresh();
    },
    onError: (error) => tell({ text: error.message, bad: true }),
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
