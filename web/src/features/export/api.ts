import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';

/** What leaves: a folder in an order, all that a search finds, a round, or chosen publications. */
export type Exported =
  | { folder: string; order: string }
  | { q: string }
  | { round: string }
  | { publications: readonly string[] };

export type Wanted = Pick<Schema['ExportWanted'], 'format' | 'with' | 'commands'>;

/** Below which address it is exported. */
export function addressOf(group: string, of: Exported): string {
  const base = `/api/groups/${group}`;
  if ('folder' in of) return `${base}/folders/${of.folder}`;
  if ('q' in of) return `${base}/q/${of.q}`;
  return 'round' in of ? `${base}/rounds/${of.round}` : base;
}

export function wantedOf(of: Exported, wanted: Wanted): Schema['ExportWanted'] {
  if ('folder' in of) return { ...wanted, order: of.order };
  return 'publications' in of ? { ...wanted, publications: [...of.publications] } : wanted;
}

/** What of it is named; of chosen publications nothing but themselves. */
export function placeOf(of: Exported): { folder?: string; q?: string; round?: string } {
  if ('folder' in of) return { folder: of.folder };
  if ('q' in of) return { q: of.q };
  return 'round' in of ? { round: of.round } : {};
}

async function preview(group: string, of: Exported, wanted: Wanted, signal: AbortSignal) {
  const asked = { body: wantedOf(of, wanted), signal };
  if ('folder' in of) {
    return api.POST('/api/groups/{group}/folders/{folder}/export/preview', {
      params: { path: { group, folder: of.folder } },
      ...asked,
    });
  }
  if ('q' in of) {
    return api.POST('/api/groups/{group}/q/{q}/export/preview', {
      params: { path: { group, q: of.q } },
      ...asked,
    });
  }
  if ('round' in of) {
    return api.POST('/api/groups/{group}/rounds/{round}/export/preview', {
      params: { path: { group, round: of.round } },
      ...asked,
    });
  }
  return api.POST('/api/groups/{group}/export/preview', { params: { path: { group } }, ...asked });
}

/** How a file will begin; the former beginning stays until the next is here. */
export function usePreview(group: string, of: Exported, wanted: Wanted) {
  return useQuery({
    queryKey: [...keys.living(group), 'export', of, wanted],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => body(await preview(group, of, wanted, signal)),
  });
}
