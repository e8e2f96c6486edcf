import { useMutation } from '@tanstack/react-query';
import { commandHeader, newCommand, useRefresh } from '../../api';
import { useNotice } from '../../ui';

/**
 * An act of a member: sent as a command, told with its undo beside it, and lists follow. What went
 * wrong is told in the same place; `quiet`: by whoever asked. `stays`: what cannot be undone.
 */
export function useAct<Input, Answer>(
  group: string,
  send: (input: Input, header: { 'Command-Id': string }) => Promise<Answer>,
  says: (answer: Answer, input: Input) => string,
  { quiet = false, stays }: { quiet?: boolean; stays?: (input: Input) => boolean } = {},
) {
  const tell = useNotice();
  const refresh = useRefresh(group);
  return useMutation({
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
  });
}
