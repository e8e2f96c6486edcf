import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

export type Task = Schema['TaskShown'];
export type Which = 'open' | 'mine' | 'nobody' | 'ended';

/** What the group has to look up, fifty at a time. */
export function useTasks(group: string, of: Which, from: number) {
  return useQuery({
    queryKey: [...keys.living(group), 'tasks', of, from],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/tasks', {
          params: { path: { group }, query: { of, from } },
          signal,
        }),
      ),
  });
}

/** What is to be looked up about a publication, or was. */
export function useTasksOf(group: string, publication: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'tasks of', publication],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/tasks', {
          params: { path: { group, publication } },
          signal,
        }),
      ),
  });
}

/** Notes something to be looked up. */
export function useNoteTask(group: string) {
  return useAct(
    group,
    async (task: Schema['NewTask'], header) =>
      body(
        await api.POST('/api/groups/{group}/tasks', {
          params: { path: { group }, header },
          body: task,
        }),
      ),
    () => 'Noted to be looked up.',
    { quiet: true },
  );
}

/** What can be done with a task; each says which state of it was seen. */
export function useTaskActs(group: string, { id: task, version }: Task) {
  const path = { group, task };
  return {
    write: useAct(
      group,
      async ({ text, due }: { text: string; due: string | null }, header) =>
        body(
          await api.PUT('/api/groups/{group}/tasks/{task}', {
            params: { path, header },
            body: { text, due, version },
          }),
        ),
      () => 'The task is written anew.',
      { quiet: true },
    ),
    give: useAct(
      group,
      async ({ owner }: { owner: string | null; said: string }, header) =>
        body(
          await api.PUT('/api/groups/{group}/tasks/{task}/owner', {
            params: { path, header },
            body: { owner, version },
          }),
        ),
      (_, { said }) => said,
    ),
    state: useAct(
      group,
      async ({ state, word }: { state: string; word: string }, header) =>
        body(
          await api.PUT('/api/groups/{group}/tasks/{task}/state', {
            params: { path, header },
            body: { state, word, version },
          }),
        ),
      (_, { state }) => (state === 'open' ? 'It is open again.' : `It is ${state}.`),
      { quiet: true },
    ),
  };
}
