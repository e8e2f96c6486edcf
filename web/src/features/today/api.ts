import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { api, body, keys, useRefresh } from '../../api';
import { useNotice } from '../../ui';

/** So often a page that is looked at says that the member is here. */
const STILL_HERE = 10 * 60 * 1000;

const today = (group: string, part: string) => [...keys.living(group), 'today', part];

/** What waits for the member. */
export function useWaiting(group: string) {
  return useQuery({
    queryKey: today(group, 'waits'),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/today', { params: { path: { group } }, signal })),
  });
}

/** What does not go as it should, and what was mended lately. */
export function useTroubles(group: string) {
  return useQuery({
    queryKey: today(group, 'troubles'),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/troubles', { params: { path: { group } }, signal })),
  });
}

/** Notes that the member is here, now and as long as the page is looked at. */
export function useVisit(group: string, day: string | undefined) {
  return useQuery({
    queryKey: ['visit', group, day],
    enabled: day !== undefined,
    queryFn: async () => {
      await api.PUT('/api/groups/{group}/visit', { params: { path: { group } } });
      return true;
    },
    refetchInterval: STILL_HERE,
    refetchOnWindowFocus: true,
    retry: false,
  });
}

/** What the others did since the member's last visit; asked once it is noted that this one is. */
export function useDone(group: string, day: string) {
  const visit = useVisit(group, day);
  return useQuery({
    queryKey: [...today(group, 'done'), visit.dataUpdatedAt],
    enabled: !visit.isPending,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/today/done', { params: { path: { group } }, signal }),
      ),
  });
}

/** What came on each day of the last month. */
export function useMonth(group: string) {
  return useQuery({
    queryKey: today(group, 'month'),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/today/month', { params: { path: { group } }, signal }),
      ),
  });
}

/** Says that a remark that mentions the member was looked at; `back`: that it was not. */
export function useLookedAt(group: string) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  const send = async (remark: string, lookedAt: boolean) => {
    await api.PUT('/api/groups/{group}/remarks/{remark}/looked-at', {
      params: { path: { group, remark } },
      body: { lookedAt },
    });
    refresh();
  };
  return useMutation({
    mutationFn: (remark: string) => send(remark, true),
    onSuccess: (_, remark) =>
      tell({
        text: 'It waits no more.',
        acts: [{ label: 'Let it wait again', act: () => void send(remark, false) }],
      }),
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}
