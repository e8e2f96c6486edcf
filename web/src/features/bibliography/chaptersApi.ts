import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

/** What can be done to the headings of a bibliography, and to what is quoted through its entries. */
export function useChapterActs(group: string, folder: string) {
  return {
    set: useAct(
      group,
      async (wanted: Schema['ChaptersWanted'], header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/bibliography/chapters', {
            params: { path: { group, folder }, header },
            body: wanted,
          }),
        ),
      (done) =>
        done.chapters.length === 0
          ? 'The bibliography has no headings.'
          : `The bibliography has ${counted(done.chapters.length, 'heading')}.`,
      { quiet: true },
    ),
    put: useAct(
      group,
      async (wanted: Schema['ChapterOfEntries'], header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/bibliography/chapter', {
            params: { path: { group, folder }, header },
            body: wanted,
          }),
        ),
      (done) =>
        done.chapter ? `It stands below “${done.chapter}”.` : 'It stands below no heading.',
    ),
    quote: useAct(
      group,
      async (
        { publication, ...wanted }: Schema['QuotedWanted'] & { publication: string },
        header,
      ) =>
        body(
          await api.POST(
            '/api/groups/{group}/folders/{folder}/bibliography/entries/{publication}/quoted',
            { params: { path: { group, folder, publication }, header }, body: wanted },
          ),
        ),
      () => 'Both are named; to read the other one is noted.',
      { quiet: true },
    ),
    unquote: useAct(
      group,
      async ({ publication, quoted }: { publication: string; quoted: string }, header) =>
        body(
          await api.DELETE(
            '/api/groups/{group}/folders/{folder}/bibliography/entries/{publication}/quoted/{quoted}',
            { params: { path: { group, folder, publication, quoted }, header } },
          ),
        ),
      () => 'It is not named any more.',
    ),
  };
}

/** What became of a bibliography since a day, `2026-11-01`; empty: since a month ago. */
export function useSince(group: string, folder: string, day: string) {
  return useQuery({
    queryKey: [...keys.folder(group, folder), 'bibliography', 'since', day],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/bibliography/since', {
          params: { path: { group, folder }, query: day ? { day } : {} },
          signal,
        }),
      ),
  });
}
