import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, asItIs, body, commandHeader, keys, newCommand } from '../../api';
import { useNotice } from '../../ui';

export const textsKey = (group: string, publication: string) =>
  [...keys.living(group), 'texts', publication] as const;

/** The texts of a publication that the group has, and the open ones that can be fetched. */
export function useTexts(group: string, publication: string) {
  return useQuery({
    queryKey: textsKey(group, publication),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/texts', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** What a text is, its parts and, of a page of the web, what it says. It never changes. */
export function useText(group: string, text: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'text', text],
    staleTime: Infinity,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/texts/{text}', {
          params: { path: { group, text } },
          signal,
        }),
      ),
  });
}

/** A file that a member brings in. `sure`: it belongs to the work, whatever its first pages say. */
export type Brought = { file: File; licence: string; version: string; sure: boolean };

export function useBringText(group: string, publication: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async ({ file, licence, version, sure }: Brought) => {
      const command = newCommand();
      body(
        await api.PUT('/api/groups/{group}/publications/{publication}/texts', {
          params: {
            path: { group, publication },
            query: { name: file.name, licence, version, sure },
            header: commandHeader(command),
          },
          ...asItIs(file),
        }),
      );
      return command;
    },
    onSuccess: (command) => tell({ text: 'The text is in, for your group alone.', command }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}
