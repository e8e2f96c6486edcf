import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { commandHeader, keys, newCommand, undo } from '../api';
import { outboxOf } from '../features/publication';
import type { Notice } from '../ui';

/**
 * What was done in this window and can be taken back, the last first: each undo goes on to the one
 * before. Undos go out one after the other, however fast they are asked for.
 */
export function useUndo(group: string, member: string) {
  const client = useQueryClient();
  const [notice, setNotice] = useState<Notice | null>(null);
  const done = useRef<string[]>([]);
  const [left, setLeft] = useState(0);
  const sending = useMutation({
    scope: { id: 'undo' },
    mutationFn: async (action: string) => {
      const outbox = outboxOf(group, member);
      const unsent = { note: 'It had not been sent yet.' };
      if (outbox.takeBack(action)) return unsent;
      // What is on its way arrives before it is taken back, or comes back itself.
      await outbox.settled();
      if (outbox.takeBack(action)) return unsent;
      return undo(group, action, commandHeader(newCommand()));
    },
    onSuccess: (undone) => setNotice({ text: `Undone. ${undone.note}`.trim() }),
    onError: (error) => setNotice({ text: error.message, bad: true }),
    onSettled: () => client.invalidateQueries({ queryKey: keys.living(group) }),
  });
  const tell = useCallback((next: Notice) => {
    if (next.command) {
      done.current.push(next.command);
      setLeft(done.current.length);
    }
    setNotice(next);
  }, []);
  const back = () => {
    const last = done.current.pop();
    setLeft(done.current.length);
    if (last) sending.mutate(last);
  };
  return { notice, tell, back, left, close: () => setNotice(null) };
}
