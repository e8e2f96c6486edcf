import { useInfiniteQuery } from '@tanstack/react-query';
import { api, body, keys, undo } from '../../api';
import { useAct } from '../session';

/** What was done in a group, page by page; `of` as in the address, `folder:ID`; empty: anything. */
export function useActivity(group: string, of: string) {
  return useInfiniteQuery({
    queryKey: [...keys.living(group), 'activity', of],
    initialPageParam: null as string | null,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/activity', {
          params: {
            path: { group },
            query: { ...(of ? { of } : {}), ...(pageParam ? { before: pageParam } : {}) },
          },
          signal,
        }),
      ),
    getNextPageParam: (page) => page.next ?? null,
  });
}

/** Takes an act back, from wherever it is told. */
export function useUndoOf(group: string) {
  return useAct(
    group,
    (action: string, header) => undo(group, action, header),
    (undone) => `Undone. ${undone.note}`.trim(),
    { stays: () => true },
  );
}
