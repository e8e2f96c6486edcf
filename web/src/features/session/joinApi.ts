import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body } from '../../api';
import { ownZone, withToken } from './api';

/** What an invitation is. */
export function useInvitation(code: string) {
  return useQuery({
    queryKey: ['join', code],
    queryFn: async () => {
      await withToken();
      return body(await api.POST('/api/join', { body: { code } }));
    },
    retry: false,
  });
}

type Words = { code: string; email: string; name: string; password: string };

/**
 * Comes into the group of an invitation: as who is signed in, by signing in, or with an account that
 * is made for it. Answers the group; nothing of a visit before is remembered.
 */
export function useJoin(how: 'here' | 'known' | 'new') {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ code, email, name, password }: Words) => {
      if (how === 'new') {
        const words = { code, name, password, zone: ownZone() };
        return body(await api.POST('/api/join/visit', { body: words })).id;
      }
      if (how === 'known') body(await api.POST('/api/session', { body: { email, password } }));
      return body(await api.POST('/api/join/member', { body: { code, name } })).id;
    },
    onSuccess: () => client.clear(),
  });
}
