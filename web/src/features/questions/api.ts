import { useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

export type Question = Schema['QuestionLine'];
export type Which = 'waiting' | 'open' | 'ended';

/** What the member asked and is asked, fifty at a time. */
export function useQuestions(group: string, of: Which, from: number) {
  return useQuery({
    queryKey: [...keys.living(group), 'questions', of, from],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/questions', {
          params: { path: { group }, query: { of, from } },
          signal,
        }),
      ),
  });
}

/** A question and all that was said to it. */
export function useQuestion(group: string, question: string) {
  return useQuery({
    queryKey: [...keys.living(group), 'question', question],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/questions/{question}', {
          params: { path: { group, question } },
          signal,
        }),
      ),
  });
}

/** What a proposed sheet gains and loses against the one that was asked about. */
export function useProposal(group: string, one: string, other: string) {
  return useQuery({
    queryKey: [...keys.group(group), 'proposal', one, other],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/search/comparison', {
          params: { path: { group }, query: { one: `q:${one}`, other: `q:${other}` } },
          signal,
        }),
      ),
  });
}

type Asking = { to: string | null; text: string; place: string; name: string };

/** What can be done with questions. */
export function useQuestionActs(group: string) {
  return {
    ask: useAct(
      group,
      async ({ to, text, place }: Asking, header) =>
        body(
          await api.POST('/api/groups/{group}/questions', {
            params: { path: { group }, header },
            body: { to, text, place },
          }),
        ),
      (_, { name }) => `Asked: ${name}.`,
      { quiet: true },
    ),
    answer: useAct(
      group,
      async (said: { question: string; text: string; q: string | null }, header) =>
        body(
          await api.POST('/api/groups/{group}/questions/{question}/words', {
            params: { path: { group, question: said.question }, header },
            body: { text: said.text, q: said.q },
          }),
        ),
      (_, { q }) => (q ? 'Answered, with this sheet.' : 'Said.'),
      { quiet: true },
    ),
    stand: useAct(
      group,
      async (
        { id, ...state }: { id: string; closed: boolean; took: string | null; version: number },
        header,
      ) =>
        body(
          await api.PUT('/api/groups/{group}/questions/{question}/state', {
            params: { path: { group, question: id }, header },
            body: state,
          }),
        ),
      (_, { closed, took }) =>
        took ? 'Its sheet is taken.' : closed ? 'Nothing more is needed.' : 'It is asked again.',
    ),
  };
}
