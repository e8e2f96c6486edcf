import { api, body } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

/** What can be done to a folder and what is in it. */
export function useFolderChanges(group: string, folder: string) {
  const path = { group, folder };
  return {
    change: useAct(
      group,
      async (to: { name: string; description: string; parent: string | null }, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}', {
            params: { path, header },
            body: to,
          }),
        ),
      (made) => `The folder is “${made.name}” now.`,
      { quiet: true },
    ),
    end: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.DELETE('/api/groups/{group}/folders/{folder}', { params: { path, header } }),
        ),
      (ended) => `“${ended.name}” has ended with all that is in it. It can be brought back.`,
    ),
    merge: useAct(
      group,
      async (to: string, header) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/merged', {
            params: { path, header },
            body: { to },
          }),
        ),
      (merged) =>
        `${merged.from} went into ${merged.into.name}: ${counted(merged.publications, 'publication')}` +
        (merged.there > 0 ? `, ${merged.there} more were there already.` : '.'),
      { quiet: true },
    ),
    copy: useAct(
      group,
      async (name: string, header) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/copies', {
            params: { path, header },
            body: { name },
          }),
        ),
      (made) => `“${made.name}” is a copy.`,
      { quiet: true },
    ),
    turnOver: useAct(
      group,
      async (name: string, header) =>
        body(
          await api.POST('/api/groups/{group}/pile/turned-over', {
            params: { path: { group }, header },
            body: { name },
          }),
        ),
      (made) => `${counted(made.publications, 'publication')} of your pile are in “${made.name}”.`,
      { quiet: true },
    ),
    move: useAct(
      group,
      async ({ copy, ...what }: { publications: string[]; to: string; copy: boolean }, header) => {
        const asked = { params: { path, header }, body: what };
        return body(
          copy
            ? await api.POST('/api/groups/{group}/folders/{folder}/items/copied', asked)
            : await api.POST('/api/groups/{group}/folders/{folder}/items/moved', asked),
        );
      },
      (moved, { copy }) =>
        `${counted(moved.publications, 'publication')} ${copy ? 'copied' : 'moved'} into ${moved.to}.` +
        (moved.there > 0
          ? ` ${moved.there} ${moved.there === 1 ? 'was' : 'were'} there already.`
          : ''),
      { quiet: true },
    ),
    place: useAct(
      group,
      async ({ publication, before }: { publication: string; before: string | null }, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/items/{publication}/place', {
            params: { path: { ...path, publication }, header },
            body: { before },
          }),
        ),
      () => 'It has another place in the order by hand.',
    ),
    note: useAct(
      group,
      async (
        { publication, ...note }: { publication: string; was: string; text: string },
        header,
      ) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/items/{publication}/note', {
            params: { path: { ...path, publication }, header },
            body: note,
          }),
        ),
      () => 'Why it is kept is noted.',
      { quiet: true },
    ),
    takeOut: useAct(
      group,
      async (publications: string[], header) =>
        body(
          await api.DELETE('/api/groups/{group}/folders/{folder}/items', {
            params: { path, header },
            body: { publications },
          }),
        ),
      (out) => `${counted(out.publications, 'publication')} taken out of ${out.folder}.`,
    ),
  };
}

/** Brings something back that ended. */
export function useBringBack(group: string) {
  return useAct(
    group,
    async (ended: string, header) =>
      body(
        await api.POST('/api/groups/{group}/bin/{ended}/back', {
          params: { path: { group, ended }, header },
        }),
      ),
    (back) => `“${back.name}” is back.`,
  );
}

/** Puts back what was taken out by an act; without ids all of it. */
export function usePutBack(group: string, out: string) {
  return useAct(
    group,
    async (publications: string[] | null, header) =>
      body(
        await api.POST('/api/groups/{group}/bin/{out}/publications/back', {
          params: { path: { group, out }, header },
          body: { publications },
        }),
      ),
    (back) => `${counted(back.publications, 'publication')} back in ${back.folder}.`,
  );
}
