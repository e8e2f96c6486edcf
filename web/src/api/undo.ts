import { api, body } from './client';

/** Takes an act back, by the id of its command. */
export async function undo(group: string, action: string, header: { 'Command-Id': string }) {
  return body(
    await api.POST('/api/groups/{group}/actions/{action}/undo', {
      params: { path: { group, action }, header },
    }),
  );
}
