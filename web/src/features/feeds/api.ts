import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, useRefresh, type Schema } from '../../api';
import { useNotice } from '../../ui';

/** One's own feeds that are not revoked. */
export function useFeeds(group: string) {
  return useQuery({
    queryKey: keys.feeds(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/feeds', { params: { path: { group } }, signal })),
  });
}

/** One's address for something, as `alert:ID`; the one there is, or a new one. */
export function useFollow(group: string) {
  const refresh = useRefresh(group);
  const tell = useNotice();
  return useMutation({
    mutationFn: async (of: string) =>
      body(
        await api.POST('/api/groups/{group}/feeds', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { of },
        }),
      ),
    onSuccess: refresh,
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}

/** Whether opening an entry of a feed marks it seen. */
export function useChooseFeed(group: string) {
  const client = useQueryClient();
  const refresh = useRefresh(group);
  const tell = useNotice();
  return useMutation({
    // What is pressed last counts.
    scope: { id: 'feed-choice' },
    mutationFn: async ({ feed, marksSeen }: { feed: string; marksSeen: boolean }) => {
      const command = newCommand();
      body(
        await api.PUT('/api/groups/{group}/feeds/{feed}', {
          params: { path: { group, feed }, header: commandHeader(command) },
          body: { marksSeen },
        }),
      );
      return command;
    },
    onSuccess: (command, { marksSeen }) => {
      tell({
        text: marksSeen
          ? 'What you open from this feed is marked seen from now on.'
          : 'What you open from this feed is not marked any more.',
        command,
      });
      refresh();
    },
    onMutate: async ({ feed, marksSeen }) => {
      // It stands as it was pressed, whatever an older answer says.
      await client.cancelQueries({ queryKey: keys.feeds(group) });
      client.setQueryData<Schema['FeedLine'][]>(keys.feeds(group), (feeds) =>
        feeds?.map((one) => (one.id === feed ? { ...one, marksSeen } : one)),
      );
    },
    onError: (error) => {
      refresh();
      tell({ text: error.message, bad: true });
    },
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
