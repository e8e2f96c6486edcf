import { useState } from 'react';
import type { Of } from './api';

const place = ({ group, folder, publication }: Of) =>
  `lantern.annotation.${group}.${folder}.${publication}`;

/** What was typed below an entry and is not sent yet; it survives the page. `early`: added to it. */
export function useUnsaved(of: Of, first: string, early: string) {
  const [text, setText] = useState(() => (localStorage.getItem(place(of)) ?? first) + early);
  return {
    text,
    type: (next: string) => {
      if (next === first) localStorage.removeItem(place(of));
      else localStorage.setItem(place(of), next);
      setText(next);
    },
    sent: () => localStorage.removeItem(place(of)),
  };
}

/** Whether something was typed there and never sent. */
export function isUnsaved(of: Of): boolean {
  return localStorage.getItem(place(of)) !== null;
}
