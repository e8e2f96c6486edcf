import { api, body } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

/** What can be done to a folder and what is in it. */
export function useFolderChanges(group: string, folder: string) {
  const path = { group, folder };
  return {
    change: useAct(
      group,
      async (to: { name: string; parent: string | null }, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}', {
            params: { path, header },
            body: to,
          }),
        ),
      (made) => `The folder is “${made.name}” now.`,
      { quiet: true },
    ),
    end: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/folders/{folder}', { params: { path, header } }),
        ),
      (ended) => `“${ended.name}” has ended with all that is in it. It can be brought back.`,
    ),
    takeOut: useAct(
      group,
      async (publications: string[], header) =>
        body(
          await api.DELETE('/api/groups/{group}/folders/{folder}/items', {
            params: { path, header },
            body: { publications },
          }),
        ),
      (out) => `${counted(out.publications, 'publication')} taken out of ${out.folder}.`,
    ),
  };
}

/** Brings something back that ended. */
export function useBringBack(group: string) {
  return useAct(
    group,
    async (ended: string, header) =>
      body(
        await api.POST('/api/groups/{group}/bin/{ended}/back', {
          params: { path: { group, ended }, header },
        }),
      ),
    (back) => `“${back.name}” is back.`,
  );
}
