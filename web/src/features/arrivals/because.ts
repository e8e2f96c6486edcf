import type { Schema } from '../../api';

type Because = Schema['Because'];

const SAID: Record<string, (what: string) => string> = {
  author: (what) => `by ${what}`,
  reference: (what) => `citing “${what}”`,
  journal: (what) => `in ${what}`,
  word: (what) => `“${what}”`,
};

/** What of a work moves it up in the order of what the group tends to keep. */
export function likeWhatWasKept(because: readonly Because[]): string {
  return because.map(({ kind, what }) => SAID[kind]?.(what) ?? what).join(', ');
}

/** What the order is learned from, or why there is none yet. */
export function learnedFrom({ kept, passed, fewest }: Schema['Learned']): string {
  const so = `${kept.toLocaleString('en-GB')} kept and ${passed.toLocaleString('en-GB')} passed until last night`;
  return Math.min(kept, passed) < fewest
    ? `Nothing to learn an order from yet: ${so}, and it takes ${fewest} of each. They stand as they came.`
    : `Learned from ${so}; for today it stays so.`;
}
