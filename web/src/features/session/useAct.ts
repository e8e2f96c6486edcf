import { useMutation, type MutateOptions } from '@tanstack/react-query';
import { useRef } from 'react';
import { commandHeader, newCommand, useRefresh } from '../../api';
import { useNotice } from '../../ui';

type Done<Answer> = { command: string; answer: Awaited<Answer> };

/**
 * An act of a member: sent as a command, told with its undo beside it, and lists follow. What went
 * wrong is told in the same place; `quiet`: by whoever asked. `stays`: what cannot be undone.
 *
 * The same act again while it is on its way is one: a double click comes before the page shows that
 * something is on its way.
 */
export function useAct<Input, Answer>(
  group: string,
  send: (input: Input, header: { 'Command-Id': string }) => Promise<Answer>,
  says: (answer: Answer, input: Input) => string,
  { quiet = false, stays }: { quiet?: boolean; stays?: (input: Input) => boolean } = {},
) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  const onItsWay = useRef(new Set<string>());
  const act = useMutation({
    mutationFn: async (input: Input) => {
      const command = newCommand();
      return { command, answer: await send(input, commandHeader(command)) };
    },
    onSuccess: ({ command, answer }, input) => {
      tell({ text: says(answer, input), ...(stays?.(input) ? {} : { command }) });
      refresh();
    },
    onError: (error) => {
      if (!quiet) tell({ text: error.message, bad: true });
    },
    onSettled: (_answer, _error, input) => {
      onItsWay.current.delete(JSON.stringify(input));
    },
  });
  type Options = MutateOptions<Done<Answer>, Error, Input>;
  const give = act.mutate as (input: Input, options?: Options) => void;
  const mutate = (input: Input, options?: Options) => {
    const same = JSON.stringify(input);
    if (onItsWay.current.has(same)) return;
    onItsWay.current.add(same);
    give(input, options);
  };
  return { ...act, mutate };
}
