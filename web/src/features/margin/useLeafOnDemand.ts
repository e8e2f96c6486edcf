import { api, body } from '../../api';

/** Fetches the citation of a publication when it is wanted. */
export function useLeafOnDemand(group: string) {
  return async (publication: string): Promise<string> =>
    body(
      await api.GET('/api/groups/{group}/publications/{publication}', {
        params: { path: { group, publication } },
      }),
    ).citation;
}
