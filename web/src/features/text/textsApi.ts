import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { useNotice } from '../../ui';

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
          headers: { 'Content-Type': 'application/octet-stream' },
          // It is sent as it is; the types know of JSON only.
          body: file as never,
          bodySerializer: (sent: unknown) => sent as File,
        }),
      );
      return command;
    },
    onSuccess: (command) => tell({ text: 'The text is in, for your group alone.', command }),
    onSettled: () => void client.invalidateQueries({ queryKey: keys.living(group) }),
  });
}
