import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';

/** What the group cites in, and the languages there are. */
export function useCitingChoices(group: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'citing'],
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/citing', { params: { path: { group } }, signal })),
  });
}

/** Styles by what is typed of them. */
const styles = (group: string, typed: string) =>
  queryOptions({
    queryKey: ['styles', typed],
    staleTime: Infinity,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/styles', {
          params: { path: { group }, query: { typed } },
          signal,
        }),
      ),
  });

/** The former ones stay until the next are here. */
export function useStyles(group: string, typed: string) {
  return useQuery({ ...styles(group, typed), placeholderData: keepPreviousData });
}

/** Gives the first style that is found for some words, as soon as it is. */
export function useFirstStyle(group: string) {
  const client = useQueryClient();
  return async (typed: string) => (await client.fetchQuery(styles(group, typed))).styles[0];
}

/** Some publications as they are cited; what was shown before stays until the answer is here. */
export function useCitations(group: string, wanted: Schema['CitationsWanted'], enabled = true) {
  return useQuery({
    enabled,
    queryKey: [...keys.living(group), 'citations', wanted],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/citations', {
          params: { path: { group } },
          body: wanted,
          signal,
        }),
      ),
  });
}
