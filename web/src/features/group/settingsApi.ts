import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

/** What is set for the whole group. */
export function useSettings(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'settings'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/settings', { params: { path: { group } }, signal })),
  });
}

/** Sets it; for coordinators. */
export function useSetGroup(group: string) {
  const client = useQueryClient();
  return useAct(
    group,
    async (wanted: Schema['SettingsWanted'], header) => {
      const set = body(
        await api.PUT('/api/groups/{group}/settings', {
          params: { path: { group }, header },
          body: wanted,
        }),
      );
      // The frame says what the group is called, too.
      void client.invalidateQueries({ queryKey: keys.group(group), exact: true });
      return set;
    },
    () => 'It is set for the group.',
    { quiet: true },
  );
}
