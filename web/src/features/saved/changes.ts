import { api, body } from '../../api';
import { useAct } from '../session';

/** What can be done to a saved search besides changing what it asks. */
export function useSearchChanges(group: string, search: string) {
  const path = { group, search };
  return {
    change: useAct(
      group,
      async (to: { name: string; folder: string }, header) =>
        body(
          await api.PUT('/api/groups/{group}/searches/{search}', {
            params: { path, header },
            body: to,
          }),
        ),
      (saved) => `“${saved.name}” stands in ${saved.folder.name} now.`,
      { quiet: true },
    ),
    copy: useAct(
      group,
      async (to: { name: string; folder: string }, header) =>
        body(
          await api.POST('/api/groups/{group}/searches/{search}/copies', {
            params: { path, header },
            body: to,
          }),
        ),
      (saved) => `“${saved.name}” in ${saved.folder.name} is a copy.`,
      { quiet: true },
    ),
    end: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/searches/{search}', { params: { path, header } }),
        ),
      (ended) =>
        ended.alert
          ? `“${ended.name}” has ended, and its alert with it: whoever received it hears nothing more. Arrivals and marks stay.`
          : `“${ended.name}” has ended. It can be brought back.`,
    ),
  };
}
