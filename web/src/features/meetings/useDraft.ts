import { useState } from 'react';

/**
 * What was typed of a work in a meeting and is not written down yet; it survives the page. `stands`:
 * what is written down, which is shown as long as nothing else was typed.
 */
export function useDraft(meeting: string, work: string, stands: string) {
  const place = `lantern.meeting.${meeting}.${work}`;
  const [typed, setTyped] = useState(() => localStorage.getItem(place));
  return {
    text: typed ?? stands,
    type: (next: string) => {
      localStorage.setItem(place, next);
      setTyped(next);
    },
    sent: () => {
      localStorage.removeItem(place);
      setTyped(null);
    },
  };
}
