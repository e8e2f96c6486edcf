import { useState } from 'react';
import type { Of } from './api';

const place = ({ group, folder, publication }: Of) =>
  `lantern.annotation.${group}.${folder}.${publication}`;

const placeOfEarly = (of: Of) => `${place(of)}.early`;

/** What was typed before it was known what stands there; it survives the page, too. */
export function useEarly(of: Of) {
  const [text, setText] = useState(() => localStorage.getItem(placeOfEarly(of)) ?? '');
  return {
    text,
    type: (next: string) => {
      localStorage.setItem(placeOfEarly(of), next);
      setText(next);
    },
  };
}

/** What was typed and not sent, else what stands there, and behind it what was typed early. */
function begun(of: Of, first: string): string {
  const early = localStorage.getItem(placeOfEarly(of)) ?? '';
  const text = (localStorage.getItem(place(of)) ?? first) + early;
  if (early) localStorage.setItem(place(of), text);
  localStorage.removeItem(placeOfEarly(of));
  return text;
}

/** What was typed below an entry and is not sent yet; it survives the page. */
export function useUnsaved(of: Of, first: string) {
  const [text, setText] = useState(() => begun(of, first));
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
  return [place(of), placeOfEarly(of)].some((one) => localStorage.getItem(one) !== null);
}
