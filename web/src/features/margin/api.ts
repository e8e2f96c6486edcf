import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, body, commandHeader, isProblem, keys, newCommand, type Schema } from '../../api';
import { useNotice } from '../../ui';
import { keepUnsent, sent, unsent, type Unsent } from './outbox';

const notesKey = (group: string) => [...keys.living(group), 'margin'] as const;

/** Notes at a publication, in the order of the work; `text` is the one that is read. */
export function useNotesAt(group: string, publication: string, text: string) {
  return useQuery({
    queryKey: [...notesKey(group), publication, text],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/publications/{publication}/margin-notes', {
          params: { path: { group, publication }, query: { in: text } },
          signal,
        }),
      ),
  });
}

/** What is wanted of all notes. */
export type Wanted = { words: string; kind: string; mine: boolean; open: boolean };

/** Notes over all texts, the newest first. */
export function useAllNotes(group: string, wanted: Wanted) {
  return useInfiniteQuery({
    queryKey: [...notesKey(group), 'all', wanted],
    initialPageParam: '',
    queryFn: async ({ pageParam: before, signal }) =>
      body(
        await api.GET('/api/groups/{group}/margin-notes', {
          params: {
            path: { group },
            query: { ...wanted, ...(before ? { 'before-note': before } : {}) },
          },
          signal,
        }),
      ),
    getNextPageParam: (last) => last.next ?? undefined,
  });
}

async function send({ command, group, publication, note }: Unsent) {
  body(
    await api.POST('/api/groups/{group}/publications/{publication}/margin-notes', {
      params: { path: { group, publication }, header: commandHeader(command) },
      body: note,
    }),
  );
  sent(command);
}

/** Writes a note. Where the server cannot be reached it is kept here, and sent when it can. */
export function useWriteNote(group: string, publication: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    // Also without a connection: it is noted here then.
    networkMode: 'always',
    mutationFn: async (note: Schema['NewMarginNoteBody']) => {
      const one = { command: newCommand(), group, publication, note };
      try {
        await send(one);
        return one.command;
      } catch (error) {
        if (!isProblem(error, 'unreachable')) throw error;
        keepUnsent(one);
        return null;
      }
    },
    onSuccess: (command) =>
      tell(
        command
          ? { text: 'Noted.', command }
          : { text: 'Noted on this machine; it is sent when the server can be reached.' },
      ),
    onSettled: () => void client.invalidateQueries({ queryKey: notesKey(group) }),
  });
}

const EVERY = 15_000;

/** Notes that wait for the server; they are tried again by themselves. */
export function useUnsent(group: string, publication: string): Unsent[] {
  const client = useQueryClient();
  const [waiting, setWaiting] = useState(unsent);
  useEffect(() => {
    let left = false;
    const attempt = async () => {
      for (const one of unsent()) {
        // One that is refused stays too: it says why when it is opened again.
        await send(one).catch(() => undefined);
      }
      if (left) return;
      const still = unsent();
      setWaiting((before) => {
        if (before.length !== still.length) {
          void client.invalidateQueries({ queryKey: notesKey(group) });
        }
        return still;
      });
    };
    void attempt();
    const again = setInterval(() => void attempt(), EVERY);
    const now = () => void attempt();
    window.addEventListener('online', now);
    return () => {
      left = true;
      clearInterval(again);
      window.removeEventListener('online', now);
    };
  }, [client, group]);
  return waiting.filter((one) => one.group === group && one.publication === publication);
}

function useActOnNote<Said>(
  group: string,
  act: (said: Said, command: string) => Promise<unknown>,
  text: (said: Said) => string,
) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: async (said: Said) => {
      const command = newCommand();
      await act(said, command);
      return command;
    },
    onSuccess: (command, said) => tell({ text: text(said), command }),
    onSettled: () => void client.invalidateQueries({ queryKey: notesKey(group) }),
  });
}

export function useChangeNote(group: string, note: string) {
  return useActOnNote<{ content: Schema['MarginNoteBody']; said: string }>(
    group,
    ({ content }, command) =>
      api.PUT('/api/groups/{group}/margin-notes/{marginNote}', {
        params: { path: { group, marginNote: note }, header: commandHeader(command) },
        body: content,
      }),
    ({ said }) => said,
  );
}

export function useRemoveNote(group: string, note: string) {
  return useActOnNote<null>(
    group,
    (_nothing, command) =>
      api.DELETE('/api/groups/{group}/margin-notes/{marginNote}', {
        params: { path: { group, marginNote: note }, header: commandHeader(command) },
      }),
    () => 'The note is taken away.',
  );
}

export function useRemarkOnNote(group: string, note: string) {
  return useActOnNote<string>(
    group,
    (text, command) =>
      api.POST('/api/groups/{group}/margin-notes/{marginNote}/remarks', {
        params: { path: { group, marginNote: note }, header: commandHeader(command) },
        body: { text },
      }),
    () => 'Said to the group.',
  );
}
