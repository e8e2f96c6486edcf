import {
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useFollowed } from './followedApi';

export function useSources(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'sources'],
    staleTime: 60_000,
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/sources', { params: { path: { group } }, signal })),
    // While a first harvest is under way its counts grow.
    refetchInterval: (query) => (query.state.data?.some(isMoving) ? 3_000 : false),
  });
}

/** A first harvest that is awaited, any that goes on, and what is being taken back. */
const isMoving = (source: Schema['SourceView']) =>
  source.endingSince
    ? source.records > 0
    : source.underWay != null ||
      (!source.harvested && !source.failed && !source.paused && !source.files);

/** What each source supplies, counted. */
export function useSupplied(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'supplied'],
    staleTime: 60_000,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/supplied', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

const triesKey = (group: string, source: string) => [...keys.group(group), 'tries', source];

/** What came of asking a source, the newest tries first. */
export function useTries(group: string, source: string) {
  return useInfiniteQuery({
    queryKey: triesKey(group, source),
    initialPageParam: undefined as number | undefined,
    queryFn: async ({ pageParam: before, signal }) =>
      body(
        await api.GET('/api/groups/{group}/sources/{source}/tries', {
          params: { path: { group, source }, query: before ? { before } : {} },
          signal,
        }),
      ),
    getNextPageParam: (last) => (last.more ? last.tries[last.tries.length - 1]?.id : undefined),
    // While a try is awaited or under way, the page shows it when it came.
    refetchInterval: (query) => {
      const newest = query.state.data?.pages[0];
      return newest?.asked || newest?.running ? 3_000 : false;
    },
  });
}

/** Records of a source that could not be taken, by name. */
export function useRecordsSetAside(group: string, source: string) {
  return useInfiniteQuery({
    queryKey: [...triesKey(group, source), 'set-aside'],
    initialPageParam: '',
    queryFn: async ({ pageParam: after, signal }) =>
      body(
        await api.GET('/api/groups/{group}/sources/{source}/set-aside', {
          params: { path: { group, source }, query: { after } },
          signal,
        }),
      ),
    getNextPageParam: (last) =>
      last.more ? last.records[last.records.length - 1]?.identifier : undefined,
  });
}

/** What a source has supplied, in the order in which it came first. */
export function useSourceRecords(
  group: string,
  source: string,
  { part, odd }: { part: string; odd: boolean },
) {
  return useInfiniteQuery({
    queryKey: [...keys.group(group), 'records', source, part, odd],
    initialPageParam: 0,
    queryFn: async ({ pageParam: after, signal }) =>
      body(
        await api.GET('/api/groups/{group}/sources/{source}/records', {
          params: { path: { group, source }, query: { after, part, odd } },
          signal,
        }),
      ),
    getNextPageParam: (last) => (last.more ? last.records[last.records.length - 1]?.id : undefined),
    placeholderData: keepPreviousData,
  });
}

/** Has a source tried at the next chance; for stewards. */
export function useTryNow(group: string, source: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () =>
      body(
        await api.POST('/api/groups/{group}/sources/{source}/tries', {
          params: { path: { group, source } },
        }),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: triesKey(group, source) }),
  });
}

/** Names of sources by key. */
export function useSourceNames(group: string): Record<string, string> {
  const sources = useSources(group);
  const followed = useFollowed(group);
  return Object.fromEntries([
    ...(sources.data ?? []).map((source) => [source.key, source.name]),
    ...(followed.data ?? []).map((feed) => [feed.sourceKey, feed.title]),
  ]);
}

/** What stewards look after; to others it is empty. */
export function useUpkeep(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'upkeep'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/set-aside', { params: { path: { group } }, signal })),
  });
}
