import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import { asks, type Line, type Strategy } from '../strategy';

export type BreakdownAsked = { property: string; part?: string; most?: number; months?: boolean };

export function useBreakdown(group: string, strategy: Strategy, asked: BreakdownAsked | null) {
  const everything = { version: 2, lines: [EVERYTHING] };
  const of = asks(strategy) ? strategy : everything;
  return useQuery({
    queryKey: [...keys.group(group), 'breakdown', JSON.stringify(of), asked],
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/breakdown', {
          params: { path: { group } },
          body: { strategy: of, ...(asked ?? { property: 'date' }) },
          signal,
        }),
      ),
  });
}

/** All publications, for the breakdown of a sheet on which nothing is asked yet. */
const EVERYTHING: Line = {
  id: 'all',
  kind: 'limit',
  property: 'abstract',
  chosen: ['yes', 'no'],
};

export function useProperties(group: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'properties'],
    staleTime: Infinity,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/properties', {
          params: { path: { group } },
          signal,
        }),
      ),
  });
}

export function useBySource(group: string, strategy: Strategy) {
  return useQuery({
    queryKey: [...keys.group(group), 'by-source', JSON.stringify(strategy)],
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.POST('/api/groups/{group}/search/sources', {
          params: { path: { group } },
          body: { strategy },
          signal,
        }),
      ),
  });
}
