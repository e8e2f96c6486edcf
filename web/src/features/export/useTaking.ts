import { useCallback, useEffect, useRef, useState } from 'react';
import { Problem, takeFile, type TakenFile } from '../../api';
import { addressOf, wantedOf, type Exported, type Wanted } from './api';

/** A file on its way: how many works are done, what came of it, and why it did not come. */
export type Taking = { done: number | null; taken: TakenFile | null; failed: string };

const NOTHING: Taking = { done: null, taken: null, failed: '' };

/** Takes a file, one at a time; whoever leaves the page lets it go. */
export function useTaking(group: string, of: Exported) {
  const [taking, setTaking] = useState(NOTHING);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const forget = useCallback(() => setTaking((now) => (now.done === null ? NOTHING : now)), []);
  const take = async (wanted: Wanted): Promise<TakenFile | null> => {
    if (running.current) return null;
    const mine = new AbortController();
    running.current = mine;
    setTaking({ ...NOTHING, done: 0 });
    try {
      const taken = await takeFile(
        addressOf(group, of),
        wantedOf(of, wanted),
        (done) => setTaking((now) => ({ ...now, done })),
        mine.signal,
      );
      setTaking({ ...NOTHING, taken });
      return taken;
    } catch (why) {
      const failed = why instanceof Problem ? why.message : 'The file could not be made.';
      setTaking({ ...NOTHING, failed: mine.signal.aborted ? '' : failed });
      return null;
    } finally {
      running.current = null;
    }
  };
  return {
    taking,
    take,
    /** Ends it; nothing is saved. */
    cancel: () => running.current?.abort(),
    /** Forgets what came, when something else is wanted. */
    forget,
  };
}
