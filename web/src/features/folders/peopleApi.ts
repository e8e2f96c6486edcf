import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

/** A letter on its way is looked for again. */
const ON_ITS_WAY = 3000;

/** Whose a folder is. */
export function useRights(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'rights'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/rights', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}

/** Who was asked to a folder from outside and did not come yet; for those who may change it. */
export function useAskedTo(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'invitations'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/invitations', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
    refetchInterval: (query) =>
      query.state.data?.some((one) => one.letter === 'waiting') ? ON_ITS_WAY : false,
  });
}

/** The address by which anybody reads a folder; for those who may change it. */
export function useLinkOf(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'link'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/link', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}

/** What those do who may change a folder. */
export function usePeopleActs(group: string, folder: string) {
  const path = { group, folder };
  return {
    set: useAct(
      group,
      async (wanted: Schema['RightsWanted'], header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/rights', {
            params: { path, header },
            body: wanted,
          }),
        ),
      () => 'It is said who sees the folder.',
      { quiet: true },
    ),
    ask: useAct(
      group,
      async (asked: { email: string; may: string }, header) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/invitations', {
            params: { path, header },
            body: asked,
          }),
        ),
      (_, { email }) => `A letter to ${email} is on its way.`,
      { quiet: true },
    ),
    open: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/link', { params: { path, header } }),
        ),
      () => 'Whoever has the link reads the folder.',
    ),
    annotate: useAct(
      group,
      async (annotated: boolean, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/link', {
            params: { path, header },
            body: { annotated },
          }),
        ),
      (done) =>
        done.annotated
          ? 'Whoever has the link reads what is agreed, too.'
          : 'The link shows no annotations.',
    ),
    revoke: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/folders/{folder}/link', {
            params: { path, header },
          }),
        ),
      () => 'The link leads nowhere now.',
    ),
  };
}
