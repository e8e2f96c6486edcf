import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { useNotice } from '../../ui';
import { textsKey } from '../text';

/** The words of its pages. */
export function useWords(group: string, text: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'words', text],
    staleTime: Infinity,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/texts/{text}/words', {
          params: { path: { group, text } },
          signal,
        }),
      ),
  });
}

/** Has an open text fetched, from one place or from wherever it is. */
export function useFetchText(group: string, publication: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (address: string | null) =>
      body(
        await api.POST('/api/groups/{group}/publications/{publication}/texts/fetched', {
          params: { path: { group, publication } },
          body: address ? { address } : {},
        }),
      ),
    onSuccess: (texts) => client.setQueryData(textsKey(group, publication), texts),
  });
}

export function useTakeOutText(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (text: string) => {
      const command = newCommand();
      body(
        await api.DELETE('/api/groups/{group}/texts/{text}', {
          params: { path: { group, text }, header: commandHeader(command) },
        }),
      );
      return command;
    },
    onSuccess: (command) => tell({ text: 'The text is taken out of the group.', command }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}
