import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, keys, type Schema } from '../../api';

/** Rows that are asked for at once; as many come with the folder. */
const CHUNK = 50;

/** A folder with all ids in an order, and the rows that come first. */
export function useFolder(group: string, folder: string, order: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), order],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}', {
          params: { path: { group, folder }, query: { 'folder-order': order } },
          signal,
        }),
      ),
  });
}

/** The rows of a folder that the list comes to. */
export function useItems(group: string, folder: Schema['FolderView']) {
  const { ids, items: first } = folder;
  const [seen, setSeen] = useState(0);
  const chunks = Array.from({ length: Math.min(Math.ceil(ids.length / CHUNK), seen + 1) }, (_, i) =>
    ids.slice(i * CHUNK, (i + 1) * CHUNK),
  );
  const answers = useQueries({
    queries: chunks.map((chunk, i) => ({
      queryKey: [...keys.folder(group, folder.id), 'rows', chunk],
      enabled: i > 0,
      queryFn: async ({ signal }: { signal: AbortSignal }) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/rows', {
            params: { path: { group, folder: folder.id } },
            body: { ids: chunk },
            signal,
          }),
        ),
    })),
  });
  return {
    row: (index: number): Schema['FolderItem'] | undefined =>
      (index < CHUNK ? first : answers[Math.floor(index / CHUNK)]?.data)?.find(
        (item) => item.publication.id === ids[index],
      ),
    /** The list shows rows up to this one. */
    showTo: (index: number) => setSeen((now) => Math.max(now, Math.floor(index / CHUNK))),
  };
}

/** What lies in the bin, from a line on. */
export function useBin(group: string, from: number) {
  return useQuery({
    queryKey: [...keys.folders(group), 'bin', from],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/bin', {
          params: { path: { group }, query: { from } },
          signal,
        }),
      ),
  });
}

/** The publications that were taken out by an act and are not back. */
export function useTakenOut(group: string, out: string) {
  return useQuery({
    queryKey: [...keys.folders(group), 'bin', 'out', out],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/bin/{out}/publications', {
          params: { path: { group, out } },
          signal,
        }),
      ),
  });
}

/** The searches that are saved in a folder. */
export function useSearches(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'searches'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/searches', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}

/** How many the saved searches of a folder find now, by id. */
export function useFoundNow(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'searches', 'counts'],
    queryFn: async ({ signal }) => {
      const counts = body(
        await api.GET('/api/groups/{group}/folders/{folder}/searches/counts', {
          params: { path: { group, folder } },
          signal,
        }),
      );
      return new Map(counts.map((one) => [one.id, one.count]));
    },
  });
}

/** The dated notes of a folder. */
export function useNotes(group: string, folder: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'notes'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/notes', {
          params: { path: { group, folder } },
          signal,
        }),
      ),
  });
}
