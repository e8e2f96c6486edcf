import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand, type Schema } from '../../api';
import { useNotice } from '../../ui';

/** Who lends to the group, in the order in which they are asked. */
export function useLenders(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'lenders'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/lenders', { params: { path: { group } }, signal })),
  });
}

/** Who can be asked for a publication, the library first that is asked by rule. */
export function useOffers(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'offers', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/lenders', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

export function useLend(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (lenders: Schema['LenderShown'][]) => {
      const command = newCommand();
      body(
        await api.PUT('/api/groups/{group}/lenders', {
          params: { path: { group }, header: commandHeader(command) },
          body: { lenders },
        }),
      );
      return command;
    },
    onSuccess: (command) => {
      tell({ text: 'Who lends to the group is noted.', command });
      // What can be asked for changes the words of access everywhere.
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}
