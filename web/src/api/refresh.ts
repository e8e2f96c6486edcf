import { useQueryClient } from '@tanstack/react-query';
import { keys } from './keys';

/** Lets everything of a group that others may change be asked for again. */
export function useRefresh(group: string): () => void {
  const client = useQueryClient();
  // Nobody waits for it: what was done is done, and lists follow as they can.
  return () => void client.invalidateQueries({ queryKey: keys.living(group) });
}
