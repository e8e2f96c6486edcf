import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import { useAct } from '../session';

/** Who is in the group, in order of joining. */
export function useMembers(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'members'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/members', { params: { path: { group } }, signal })),
  });
}

/** A letter on its way is looked for again. */
const ON_ITS_WAY = 3000;

/** Who was asked and did not come yet; for coordinators. */
export function useInvitations(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'invitations'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/invitations', { params: { path: { group } }, signal }),
      ),
    refetchInterval: (query) =>
      query.state.data?.some((one) => one.letter === 'waiting') ? ON_ITS_WAY : false,
  });
}

/** What coordinators do; whoever is in the group leaves by `end`. */
export function useGroupActs(group: string) {
  const client = useQueryClient();
  /** The frame says who is in the group, too. */
  const anew = () => void client.invalidateQueries({ queryKey: keys.group(group), exact: true });
  return {
    invite: useAct(
      group,
      async (asked: { email: string; role: string }, header) =>
        body(
          await api.POST('/api/groups/{group}/invitations', {
            params: { path: { group }, header },
            body: asked,
          }),
        ),
      (_, { email }) => `A letter to ${email} is on its way.`,
      { quiet: true },
    ),
    takeBack: useAct(
      group,
      async (invitation: string, header) =>
        body(
          await api.DELETE('/api/groups/{group}/invitations/{invitation}', {
            params: { path: { group, invitation }, header },
          }),
        ),
      () => 'The link in the letter leads nowhere now.',
    ),
    role: useAct(
      group,
      async ({ member, role }: { member: string; role: string; name: string }, header) => {
        const done = body(
          await api.PUT('/api/groups/{group}/members/{member}/role', {
            params: { path: { group, member }, header },
            body: { role },
          }),
        );
        anew();
        return done;
      },
      (_, { name, role }) => `${name} is a ${role} now.`,
    ),
    end: useAct(
      group,
      async ({ member, leaves }: { member: string; name: string; leaves: boolean }, header) => {
        const done = body(
          await api.DELETE('/api/groups/{group}/members/{member}', {
            params: { path: { group, member }, header },
          }),
        );
        // Whoever leaves is led on to the groups that they are still in.
        if (leaves) await client.invalidateQueries({ queryKey: keys.me });
        else anew();
        return done;
      },
      (_, { name, leaves }) =>
        leaves
          ? 'You left the group.'
          : `${name} is not in the group any more. What they said stays.`,
      { stays: ({ leaves }) => leaves },
    ),
  };
}
