import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { api, asItIs, body, keys, type Schema } from '../../api';

const loadsKey = (group: string) => [...keys.group(group), 'loads'];

const isOpen = ({ state }: Schema['LoadShown']) => state === 'waiting' || state === 'running';

/** Files that were brought in, the newest first. */
export function useLoads(group: string) {
  return useInfiniteQuery({
    queryKey: loadsKey(group),
    initialPageParam: undefined as number | undefined,
    queryFn: async ({ pageParam: before, signal }) =>
      body(
        await api.GET('/api/groups/{group}/loads', {
          params: { path: { group }, query: before ? { before } : {} },
          signal,
        }),
      ),
    getNextPageParam: (last) => (last.more ? last.loads[last.loads.length - 1]?.id : undefined),
    refetchInterval: (query) =>
      query.state.data?.pages.some((page) => page.loads.some(isOpen)) ? 1_500 : false,
  });
}

/** Sends files as they are, one after the other; says which is on its way. */
export function useSendFiles(group: string, onSending: (name: string) => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ files, into }: { files: File[]; into: string }) => {
      for (const file of files) {
        onSending(file.name);
        await api.POST('/api/groups/{group}/loads', {
          params: { path: { group }, query: { name: file.name, into } },
          ...asItIs(file),
        });
      }
    },
    onSettled: () => client.invalidateQueries({ queryKey: loadsKey(group) }),
  });
}

export function useStopLoad(group: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (load: number) => {
      await api.DELETE('/api/groups/{group}/loads/{load}', { params: { path: { group, load } } });
    },
    onSettled: () => client.invalidateQueries({ queryKey: loadsKey(group) }),
  });
}
