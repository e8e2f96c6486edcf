import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { counted } from '../../ui';
import { useAct } from '../session';

/** An entry of a folder's bibliography, to which something is said. */
export type Of = { group: string; folder: string; publication: string };

const key = ({ group, folder, publication }: Of) => [
  ...keys.folder(group, folder),
  'annotation',
  publication,
];

/** What is said below an entry, with what colleagues say of it. */
export function useAnnotation(of: Of) {
  return useQuery({
    queryKey: key(of),
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/folders/{folder}/annotations/{publication}', {
          params: { path: of },
          signal,
        }),
      ),
  });
}

/** Words that it had once; none are asked for without a number. */
export function useWording(of: Of, n: number | null) {
  return useQuery({
    queryKey: [...key(of), 'wording', n],
    enabled: n !== null,
    queryFn: async ({ signal }) =>
      body(
        await api.GET(
          '/api/groups/{group}/folders/{folder}/annotations/{publication}/wordings/{n}',
          { params: { path: { ...of, n: n ?? 0 } }, signal },
        ),
      ),
  });
}

/** What can be done to it. */
export function useAnnotationActs(of: Of) {
  const { group } = of;
  return {
    write: useAct(
      group,
      async (words: Schema['AnnotationWords'], header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/annotations/{publication}', {
            params: { path: of, header },
            body: words,
          }),
        ),
      (_done, { text }) =>
        text.trim() ? 'The annotation is written.' : 'The annotation is taken away.',
      { quiet: true },
    ),
    state: useAct(
      group,
      async (wanted: Schema['AnnotationStateWanted'], header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/annotations/{publication}/state', {
            params: { path: of, header },
            body: wanted,
          }),
        ),
      (_done, { state }) => `The annotation is ${state === 'draft' ? 'a draft' : state} now.`,
    ),
    takeOver: useAct(
      group,
      async (version: number, header) =>
        body(
          await api.PUT('/api/groups/{group}/folders/{folder}/annotations/{publication}/writer', {
            params: { path: of, header },
            body: { version },
          }),
        ),
      () => 'You write it from now on.',
    ),
    say: useAct(
      group,
      async (said: Schema['ToSay'], header) =>
        body(
          await api.POST('/api/groups/{group}/folders/{folder}/annotations/{publication}/remarks', {
            params: { path: of, header },
            body: said,
          }),
        ),
      (done, { instead }) =>
        instead === undefined ? 'It is said.' : `${counted(done.count, 'suggestion')} made.`,
      { quiet: true },
    ),
    deal: useAct(
      group,
      async ({ remark, outcome }: { remark: string; outcome: string }, header) =>
        body(
          await api.PUT(
            '/api/groups/{group}/folders/{folder}/annotations/{publication}/remarks/{annotationRemark}',
            {
              params: { path: { ...of, annotationRemark: remark }, header },
              body: { outcome },
            },
          ),
        ),
      (_done, { outcome }) => (outcome === 'open' ? 'It is open again.' : `It is ${outcome}.`),
    ),
    takeBack: useAct(
      group,
      async (remark: string, header) =>
        body(
          await api.DELETE(
            '/api/groups/{group}/folders/{folder}/annotations/{publication}/remarks/{annotationRemark}',
            { params: { path: { ...of, annotationRemark: remark }, header } },
          ),
        ),
      () => 'It is taken back.',
    ),
  };
}
