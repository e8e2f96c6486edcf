import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';

const houseKey = (group: string) => [...keys.group(group), 'house'];

/** How the installation is; to others than stewards it is empty. */
export function useHouse(group: string) {
  return useQuery({
    queryKey: houseKey(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/house', { params: { path: { group } }, signal })),
    // While a check goes on, what it finds is awaited.
    refetchInterval: (query) => {
      const check = query.state.data?.check;
      return check && !check.ended ? 1_500 : 30_000;
    },
  });
}

function useHouseAct<Input>(group: string, send: (input: Input) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSettled: () => client.invalidateQueries({ queryKey: houseKey(group) }),
  });
}

/** Letters that could not be sent, the last first. */
export function useLettersGivenUp(group: string, from: number) {
  return useQuery({
    queryKey: [...houseKey(group), 'letters', from],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/house/letters', {
          params: { path: { group }, query: { from } },
          signal,
        }),
      ),
  });
}

export function useEndAccount(group: string) {
  return useHouseAct(group, (state: Schema['AccountState']) =>
    api.PUT('/api/groups/{group}/house/accounts/state', {
      params: { path: { group } },
      body: state,
    }),
  );
}

export function useCheck(group: string) {
  return useHouseAct(group, (mend: boolean) =>
    api.POST('/api/groups/{group}/house/check', { params: { path: { group } }, body: { mend } }),
  );
}

export function useCallHouse(group: string) {
  return useHouseAct(group, (name: string) =>
    api.PUT('/api/groups/{group}/house', { params: { path: { group } }, body: { name } }),
  );
}

export function useJobAgain(group: string) {
  return useHouseAct(group, (job: string) =>
    api.POST('/api/groups/{group}/house/jobs/{job}/again', {
      params: { path: { group, job } },
    }),
  );
}
