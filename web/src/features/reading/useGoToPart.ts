import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import type { Viewing } from './viewing';

/** Goes to a part of the text; whoever was led here by one (`?part=`, from 0) comes to it, once. */
export function useGoToPart(text: Schema['TextShown'], viewing: Viewing) {
  const [params] = useSearchParams();
  const wanted = params.get('part');
  const part = wanted === null ? undefined : text.parts[Number(wanted)];
  const led = useRef<string | null>(null);
  const go = ({ anchor, page }: Schema['PartShown']) => {
    if (anchor) document.getElementById(anchor)?.scrollIntoView();
    else viewing.goTo({ page, range: () => null });
  };
  useEffect(() => {
    // Frames of pages are there before anything is drawn on them.
    if (!part || led.current === wanted || viewing.pages.size === 0) return;
    led.current = wanted;
    go(part);
  });
  return go;
}
