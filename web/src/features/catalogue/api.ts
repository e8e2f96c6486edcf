import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../../api';
import { counted, useNotice } from '../../ui';

/** Headings for everyday words; without words the topmost ones. */
export function useHeadings(group: string, words: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'headings', words],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/headings', {
          params: { path: { group }, query: { words } },
          signal,
        }),
      ),
  });
}

/** One heading, by any of its names. */
export function useHeading(group: string, name: string | null) {
  return useQuery({
    queryKey: [...keys.group(group), 'heading', name],
    enabled: name !== null,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/headings/one', {
          params: { path: { group }, query: { name: name ?? '' } },
          signal,
        }),
      ),
  });
}

/** What a way to ask for a heading finds, and what each change of it would. */
export function useHeadingAsked(
  group: string,
  asked: {
    name: string;
    below: boolean;
    central: boolean;
    aspects: string[];
    names: boolean;
    related: boolean;
  },
) {
  return useQuery({
    queryKey: [...keys.group(group), 'heading-asked', asked],
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/headings/asked', {
          params: { path: { group }, query: asked },
          signal,
        }),
      ),
  });
}
/** What a vocabulary file (in Base64) would change. */
export function useLookAtVocabulary(group: string) {
  return useMutation({
    mutationFn: async ({ file, signal }: { file: string; signal: AbortSignal }) =>
      body(
        await api.POST('/api/groups/{group}/vocabulary/look', {
          params: { path: { group } },
          body: { file },
          signal,
        }),
      ),
  });
}

/** How many terms of the member's file were read so far, while one is read. */
export function useTermsRead(group: string, reads: boolean) {
  return useQuery({
    queryKey: [...keys.group(group), 'terms-read'],
    enabled: reads,
    refetchInterval: 500,
    gcTime: 0,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/vocabulary/progress', {
          params: { path: { group } },
          signal,
        }),
      ).terms,
  });
}

/** Takes a vocabulary file (in Base64) in. */
export function useTakeVocabulary(group: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (file: string) =>
      body(
        await api.PUT('/api/groups/{group}/vocabulary', {
          params: { path: { group }, header: commandHeader(newCommand()) },
          body: { file },
        }),
      ),
    onSuccess: (changes) => {
      tell({ text: `${counted(changes.terms, 'term')} taken in.` });
      // Headings change counts, lists and suggestions.
      void client.invalidateQueries({ queryKey: keys.group(group) });
    },
  });
}

export type Wanted = { words: string; discipline: string; letter: string; access: string };

export function useJournals(group: string, wanted: Wanted) {
  return useQuery({
    queryKey: [...keys.group(group), 'journals', wanted],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/journals', {
          params: { path: { group }, query: wanted },
          signal,
        }),
      ),
  });
}

export function useJournal(group: string, issn: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'journals', issn],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/journals/{issn}', {
          params: { path: { group, issn } },
          signal,
        }),
      ),
  });
}

/** The issues of a year with their contents. */
export function useIssues(group: string, issn: string, year: number | undefined) {
  return useQuery({
    queryKey: [...keys.living(group), 'journals', issn, year],
    enabled: year !== undefined,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/journals/{issn}/years/{year}', {
          params: { path: { group, issn, year: year ?? 0 } },
          signal,
        }),
      ),
  });
}
