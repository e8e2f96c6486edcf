import { useState } from 'react';

type Seen = { asked: string; count: number };

/**
 * The count that was shown for the lines before these, to compare with; none while there was none.
 * A count of the same lines that changed because records came in is no change of the member's.
 */
export function useSeenCount(asked: string, count: number | undefined): number | undefined {
  const [seen, setSeen] = useState<{ now: Seen | null; before: Seen | null }>({
    now: null,
    before: null,
  });
  if (count !== undefined && (seen.now?.asked !== asked || seen.now.count !== count)) {
    const sameLines = seen.now?.asked === asked;
    setSeen({ now: { asked, count }, before: sameLines ? seen.before : seen.now });
  }
  return seen.before?.count;
}
