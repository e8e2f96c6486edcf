import { useMutation, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

/** What a source says of itself. */
export function useLookAtSource(group: string) {
  return useMutation({
    mutationFn: async (address: string) =>
      body(
        await api.POST('/api/groups/{group}/sources/look', {
          params: { path: { group } },
          body: { address },
        }),
      ),
  });
}

/** Its first records, as they would be read. */
export function useTrySource(group: string) {
  return useMutation({
    mutationFn: async (wanted: Schema['SourceWanted']) =>
      body(
        await api.POST('/api/groups/{group}/sources/records', {
          params: { path: { group } },
          body: wanted,
        }),
      ),
  });
}

export function useAddSource(group: string) {
  return useAct(
    group,
    async (wanted: Schema['SourceWanted'], header) =>
      body(
        await api.POST('/api/groups/{group}/sources', {
          params: { path: { group }, header },
          body: wanted,
        }),
      ),
    (_, wanted) => `${wanted.name} was added. Its first harvest begins within half a minute.`,
    { quiet: true, stays: () => true },
  );
}

export function useChangeSource(group: string) {
  return useAct(
    group,
    async ({ source, kept }: { source: string; kept: Schema['SourceKept'] }, header) =>
      body(
        await api.PUT('/api/groups/{group}/sources/{source}', {
          params: { path: { group, source }, header },
          body: kept,
        }),
      ),
    (_, { kept }) => `${kept.name} was changed.`,
    { quiet: true },
  );
}

/** What ending a source would do. */
export function useEnding(group: string, source: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'ending', source],
    staleTime: 0,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/sources/{source}/ending', {
          params: { path: { group, source } },
          signal,
        }),
      ),
  });
}

export function useEndSource(group: string) {
  return useAct(
    group,
    async ({ key }: Schema['SourceView'], header) =>
      body(
        await api.DELETE('/api/groups/{group}/sources/{source}', {
          params: { path: { group, source: key }, header },
        }),
      ),
    (_, { name }) => `${name} was ended. What it supplied is being taken back.`,
    { quiet: true, stays: () => true },
  );
}

/** Everything again, from the beginning. */
export function useAskForAll(group: string) {
  return useAct(
    group,
    async ({ key }: Schema['SourceView'], header) =>
      body(
        await api.POST('/api/groups/{group}/sources/{source}/whole', {
          params: { path: { group, source: key }, header },
        }),
      ),
    (_, { name }) => `${name} is asked for everything again within half a minute.`,
    { stays: () => true },
  );
}
