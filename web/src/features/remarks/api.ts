import { useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import { useAct } from '../session';

/** What the group says of a publication, the oldest first. */
export function useRemarks(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'remarks', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/remarks', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** Says something of a publication, or answers a remark. */
export function useRemark(group: string, publication: string) {
  return useAct(
    group,
    async (said: { text: string; answers?: string }, header) =>
      body(
        await api.POST('/api/groups/{group}/publications/{publication}/remarks', {
          params: { path: { group, publication }, header },
          body: said,
        }),
      ),
    (_, said) => (said.answers ? 'Answered.' : 'Said to the group.'),
    { quiet: true },
  );
}

/** What can be done with a remark that is there. */
export function useRemarkChanges(group: string, remark: string) {
  const path = { group, remark };
  return {
    write: useAct(
      group,
      async (text: string, header) =>
        body(
          await api.PUT('/api/groups/{group}/remarks/{remark}', {
            params: { path, header },
            body: { text },
          }),
        ),
      () => 'The remark is written anew.',
      { quiet: true },
    ),
    takeBack: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/remarks/{remark}', { params: { path, header } }),
        ),
      () => 'The remark is taken back.',
    ),
    settle: useAct(
      group,
      async (settled: boolean, header) =>
        body(
          await api.PUT('/api/groups/{group}/remarks/{remark}/settled', {
            params: { path, header },
            body: { settled },
          }),
        ),
      (_, settled) => (settled ? 'Settled.' : 'Not settled any more.'),
    ),
  };
}
