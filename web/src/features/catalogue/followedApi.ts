import { useMutation, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

/** Feeds of others that the group follows. */
export function useFollowed(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'followed'],
    staleTime: 60_000,
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/followed', { params: { path: { group } }, signal })),
    // Until a new one has answered.
    refetchInterval: (query) =>
      query.state.data?.some((feed) => !feed.answered && !feed.error) ? 3_000 : false,
  });
}

/** What is at an address, before it is followed. */
export function useLookAtFeed(group: string) {
  return useMutation({
    mutationFn: async (address: string) =>
      body(
        await api.POST('/api/groups/{group}/followed/look', {
          params: { path: { group } },
          body: { address },
        }),
      ),
  });
}

/** What a list of feeds has in it. */
export function useReadList(group: string) {
  return useMutation({
    mutationFn: async (list: string) =>
      body(
        await api.POST('/api/groups/{group}/followed/list', {
          params: { path: { group } },
          body: { list },
        }),
      ),
  });
}

export function useFollowFeeds(group: string) {
  return useAct(
    group,
    async (feeds: Schema['FeedToFollow'][], header) =>
      body(
        await api.POST('/api/groups/{group}/followed', {
          params: { path: { group }, header },
          body: { feeds },
        }),
      ),
    ({ followed }) =>
      followed.length === 1
        ? 'The group follows the feed; what is in it comes within a minute.'
        : `The group follows ${counted(followed.length, 'feed')}; what is in them comes within a minute.`,
    { quiet: true },
  );
}

export function useEndFeed(group: string) {
  return useAct(
    group,
    async (feed: Schema['FollowedLine'], header) => {
      await api.POST('/api/groups/{group}/followed/{followed}/end', {
        params: { path: { group, followed: feed.id }, header },
      });
    },
    (_, feed) => `“${feed.title}” is not followed any more. What it brought stays.`,
  );
}
