import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import { useNotice } from '../../ui';

/** Who gets an alert by mail. */
export function useAlertMail(group: string, alert: string) {
  return useQuery({
    queryKey: [...keys.alert(group, alert), 'mail'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/alerts/{alert}/mail', {
          params: { path: { group, alert } },
          signal,
        }),
      ),
  });
}

/** Sets whether oneself gets it. */
export function useSetAlertMail(group: string, alert: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (receive: boolean) =>
      body(
        await api.PUT('/api/groups/{group}/alerts/{alert}/mail', {
          params: { path: { group, alert } },
          body: { receive },
        }),
      ),
    onSuccess: (now) => client.setQueryData([...keys.alert(group, alert), 'mail'], now),
    onError: (error) => tell({ text: error.message, bad: true }),
  });
}
