import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';
import type { Exported } from './api';

type Mail = Omit<Schema['SendBody'], 'order' | 'publications'>;

async function send(
  group: string,
  of: Exported,
  bibliography: { annotations: string; form: string } | undefined,
  mail: Mail,
  header: { 'Command-Id': string },
) {
  if ('folder' in of && bibliography) {
    return api.POST('/api/groups/{group}/folders/{folder}/bibliography/sendings', {
      params: { path: { group, folder: of.folder }, header },
      body: { letter: mail, ...bibliography },
    });
  }
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

/**
 * Sends publications by mail; what was sent cannot be taken back.
 *
 * @param annotations of a folder's bibliography, with `form` of a file of it; absent: of its works
 */
export function useSend(
  group: string,
  of: Exported,
  annotations: string | undefined,
  form: string,
) {
  return useAct(
    group,
    async (mail: Mail, header) =>
      body(await send(group, of, annotations ? { annotations, form } : undefined, mail, header)),
    ({ letters, texts }) =>
      `${counted(letters, 'letter')} on the way${texts > 0 ? `, with ${counted(texts, 'text')}` : ''}.`,
    { quiet: true, stays: () => true },
  );
}

/** Which texts would go along, and why the others would not. */
export function useTextsAlong(group: string, of: Exported, asked: boolean) {
  return useQuery({
    enabled: asked,
    queryKey: [...keys.living(group), 'texts-along', of],
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/sendings/texts', {
          params: { path: { group } },
          body: 'publications' in of ? { publications: [...of.publications] } : of,
          signal,
        }),
      ),
  });
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
