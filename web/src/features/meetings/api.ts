import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';
import { whenOf } from './words';

export type Meeting = Schema['MeetingLine'];
export type Outcome = Schema['OutcomeShown'];

/** A work on the agenda, with what the meeting came to, if it did. */
export type AgendaWork = Schema['AgendaWork'] & { outcome?: Outcome | undefined };

const meetingsOf = (group: string) => [...keys.living(group), 'meetings'] as const;

/** Meetings ahead, and those of before page by page. */
export function useMeetings(group: string) {
  return useInfiniteQuery({
    queryKey: [...meetingsOf(group), 'all'],
    initialPageParam: null as string | null,
    queryFn: async ({ pageParam, signal }) =>
      body(
        await api.GET('/api/groups/{group}/meetings', {
          params: { path: { group }, query: pageParam ? { before: pageParam } : {} },
          signal,
        }),
      ),
    getNextPageParam: ({ next }) => next ?? null,
  });
}

export function useMeeting(group: string, meeting: string) {
  return useQuery({
    queryKey: [...meetingsOf(group), meeting],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/meetings/{meeting}', {
          params: { path: { group, meeting } },
          signal,
        }),
      ),
  });
}

/** The works on the agenda of a meeting. */
export function useAgenda(group: string, meeting: string) {
  return useQuery({
    queryKey: [...meetingsOf(group), meeting, 'works'],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/meetings/{meeting}/works', {
          params: { path: { group, meeting } },
          signal,
        }),
      ),
  });
}

export function useCallMeeting(group: string) {
  return useAct(
    group,
    async (called: Schema['NewMeeting'], header) =>
      body(
        await api.POST('/api/groups/{group}/meetings', {
          params: { path: { group }, header },
          body: called,
        }),
      ),
    (_, called) => `The group meets on ${whenOf(called)}.`,
    { quiet: true },
  );
}

/** What can be done with a meeting; each says which state of it was seen. */
export function useMeetingActs(group: string, { id: meeting, version }: Meeting) {
  const path = { group, meeting };
  return {
    move: useAct(
      group,
      async (called: Schema['NewMeeting'], header) =>
        body(
          await api.PUT('/api/groups/{group}/meetings/{meeting}', {
            params: { path, header },
            body: { ...called, version },
          }),
        ),
      (_, called) => `The group meets on ${whenOf(called)}.`,
      { quiet: true },
    ),
    callOff: useAct(
      group,
      async (_: 'off', header) =>
        body(
          await api.DELETE('/api/groups/{group}/meetings/{meeting}', {
            params: { path, header },
            body: { version },
          }),
        ),
      () => 'The meeting is called off.',
    ),
    mail: useAct(
      group,
      async (_: 'mail', header) =>
        body(
          await api.POST('/api/groups/{group}/meetings/{meeting}/letters', {
            params: { path, header },
          }),
        ),
      ({ letters }) =>
        letters === 1 ? 'The agenda goes to one member.' : `The agenda goes to ${letters} members.`,
      { stays: () => true },
    ),
    begin: useAct(
      group,
      async (present: string[], header) =>
        body(
          await api.PUT('/api/groups/{group}/meetings/{meeting}/begin', {
            params: { path, header },
            body: { present, version },
          }),
        ),
      () => 'The meeting has begun.',
      { quiet: true },
    ),
    present: useAct(
      group,
      async (present: string[], header) =>
        body(
          await api.PUT('/api/groups/{group}/meetings/{meeting}/present', {
            params: { path, header },
            body: { present, version },
          }),
        ),
      () => 'Noted who is there.',
      { quiet: true },
    ),
    takeOn: useAct(
      group,
      async (_: 'on', header) =>
        body(
          await api.POST('/api/groups/{group}/meetings/{meeting}/works', {
            params: { path, header },
          }),
        ),
      () => 'Taken onto the agenda.',
    ),
    end: useAct(
      group,
      async (_: 'end', header) =>
        body(
          await api.PUT('/api/groups/{group}/meetings/{meeting}/end', {
            params: { path, header },
            body: { version },
          }),
        ),
      () => 'The meeting is over.',
    ),
  };
}

const DECIDED: Record<string, string> = {
  keep: 'Kept, in the name of the group.',
  pass: 'Passed, in the name of the group.',
  open: 'Left open.',
};

/** Writes down what a meeting came to on a work. */
export function useDecide(group: string, meeting: string) {
  return useAct(
    group,
    async (decision: Schema['NewDecision'], header) =>
      body(
        await api.POST('/api/groups/{group}/meetings/{meeting}/decisions', {
          params: { path: { group, meeting }, header },
          body: decision,
        }),
      ),
    ({ what, note }) => [DECIDED[what], note].filter(Boolean).join(' '),
    { quiet: true },
  );
}
