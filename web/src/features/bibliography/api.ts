import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

/** What is tried instead of what is set; empty for what is set. */
export type Tried = { style: string; language: string };

/** Which annotations are shown and go out: empty for all. */
export type Said = '' | 'agreed' | 'none';

/** The bibliography of a folder, two hundred entries after another. */
export function useBibliography(group: string, folder: string, tried: Tried) {
  return useInfiniteQuery({
    queryKey: [...keys.folder(group, folder), 'bibliography', tried],
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/bibliography', {
          params: { path: { group, folder }, query: { ...tried, from: pageParam } },
          signal,
        }),
      ),
    getNextPageParam: (last) => last.next ?? undefined,
  });
}

/** Sets style, language and order for everybody. */
export function useSetBibliography(group: string, folder: string) {
  return useAct(
    group,
    async (wanted: Schema['BibliographyWanted'], header) =>
      body(
        await api.PUT('/api/groups/{group}/folders/{folder}/bibliography', {
          params: { path: { group, folder }, header },
          body: wanted,
        }),
      ),
    () => 'The bibliography is set so for everybody.',
    { quiet: true },
  );
}

/** Where a file of it can be fetched. */
export function fileOf(
  group: string,
  folder: string,
  form: 'docx' | 'html' | 'text',
  tried: Tried,
  annotations: Said,
): string {
  const wanted = Object.entries({ ...tried, annotations });
  const query = new URLSearchParams(wanted.filter(([, value]) => value));
  const asked = query.size > 0 ? `?${query}` : '';
  return `/api/groups/${group}/folders/${folder}/bibliography/${form}${asked}`;
}

/** All entries with their looks and without, for a clipboard. */
export async function fetchCopied(group: string, folder: string, tried: Tried, annotations: Said) {
  return body(
    await api.GET('/api/groups/{group}/folders/{folder}/bibliography/pasted', {
      params: { path: { group, folder }, query: { ...tried, annotations } },
    }),
  );
}
