import { useState } from 'react';

const ZOOMS = [0.6, 0.75, 0.9, 1, 1.15, 1.3, 1.6, 2, 2.5, 3];
const FIT = ZOOMS.indexOf(1);

/** How large a text is; 1 is what fits. */
export function useZoom() {
  const [step, setStep] = useState(FIT);
  return {
    now: ZOOMS[step] ?? 1,
    larger: () => setStep((n) => Math.min(ZOOMS.length - 1, n + 1)),
    smaller: () => setStep((n) => Math.max(0, n - 1)),
    fit: () => setStep(FIT),
  };
}
