import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useMend } from '../citing';
import { useAct } from '../session';

/** The fields of a publication that can be mended, as supplied and as the group reads them. */
export function useFields(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'fields', publication],
    enabled: publication !== '',
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/fields', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** What can be done to the entries of a folder's bibliography. */
export function useEntryActs(group: string, folder: string) {
  return {
    mend: useMend(group),
    mendCertain: useAct(
      group,
      async (seen: number, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/bibliography/mended', {
            params: { path: { group, folder }, header },
            body: { seen },
          }),
        ),
      (done) => `${counted(done.count, 'fault')} mended.`,
    ),
    tick: useAct(
      group,
      async (tick: Schema['TickWanted'], header) =>
        body(
          await api.PUT('/api/groups/{group}/compared', {
            params: { path: { group }, header },
            body: tick,
          }),
        ),
      (done) =>
        done.checked
          ? `${counted(done.count, 'entry', 'entries')} compared with the work.`
          : `${counted(done.count, 'entry', 'entries')} to be compared again.`,
    ),
  };
}
