import { api, body, type Schema } from '../../api';
import { useAct } from '../session';

/** Writes a field of a work as the group reads it. */
export function useMend(group: string) {
  return useAct(
    group,
    async (mend: Schema['MendWanted'], header) =>
      body(
        await api.PUT('/api/groups/{group}/mends', {
          params: { path: { group }, header },
          body: { mends: [mend] },
        }),
      ),
    () => 'It is mended wherever the group cites it.',
  );
}
