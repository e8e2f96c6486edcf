import type { Schema } from '../../api';

/** Lists of arrivals over all rounds, by their addresses, in the order in which they are shown. */
export const LISTS = [
  { list: 'owed', label: 'Left for you', none: 'Nothing is left for you.' },
  { list: 'nobody', label: 'Seen by nobody', none: 'Everything was seen by somebody.' },
  { list: 'raised', label: 'Raised', none: 'Nothing is raised.' },
  { list: 'readable', label: 'Text has come', none: 'No text has come that you waited for.' },
  { list: 'waiting', label: 'Waiting for text', none: 'Nobody waits for a text.' },
  { list: 'unsure', label: 'Unsure', none: 'Nobody is unsure of anything.' },
  { list: 'disputed', label: 'We disagree', none: 'Nobody passed what another keeps.' },
] as const satisfies readonly {
  list: keyof Schema['ListCounts'];
  label: string;
  none: string;
}[];

export type ListName = (typeof LISTS)[number]['list'];
