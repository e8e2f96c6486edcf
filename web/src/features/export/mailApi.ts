import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';
import type { Exported } from './api';

type Mail = Omit<Schema['SendBody'], 'order' | 'publications'>;

async function send(group: string, of: Exported, mail: Mail, header: { 'Command-Id': string }) {
  if ('folder' in of) {
    return api.POST('/api/groups/{group}/folders/{folder}/sendings', {
      params: { path: { group, folder: of.folder }, header },
      body: { ...mail, order: of.order },
    });
  }
  if ('q' in of) {
    return api.POST('/api/groups/{group}/q/{q}/sendings', {
      params: { path: { group, q: of.q }, header },
      body: mail,
    });
  }
  if ('round' in of) {
    return api.POST('/api/groups/{group}/rounds/{round}/sendings', {
      params: { path: { group, round: of.round }, header },
      body: mail,
    });
  }
  return api.POST('/api/groups/{group}/sendings', {
    params: { path: { group }, header },
    body: { ...mail, publications: [...of.publications] },
  });
}

/** Sends publications by mail; what was sent cannot be taken back. */
export function useSend(group: string, of: Exported) {
  return useAct(
    group,
    async (mail: Mail, header) => body(await send(group, of, mail, header)),
    ({ letters }) => `${counted(letters, 'letter')} on the way.`,
    { quiet: true, stays: () => true },
  );
}

/** Milliseconds after which letters that wait are looked at again. */
const LOOK_AGAIN = 5_000;

/** What one sent, fifty at a time. */
export function useSent(group: string, before: string | null, enabled = true) {
  return useQuery({
    enabled,
    queryKey: [...keys.living(group), 'sent', before],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/sendings', {
          params: { path: { group }, query: before ? { before } : {} },
          signal,
        }),
      ),
    // Whoever hands letters over tells nobody of it.
    refetchInterval: ({ state }) =>
      state.data?.some(({ letters }) => letters.some((one) => one.state === 'waiting'))
        ? LOOK_AGAIN
        : false,
  });
}
