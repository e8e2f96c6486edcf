import type { Schema } from '../../api';

/** Lists of arrivals over all rounds, by their addresses, in the order in which they are shown. */
export const LISTS = [
  { list: 'owed', label: 'Left for you', none: 'Nothing is left for you.' },
  { list: 'nobody', label: 'Seen by nobody', none: 'Everything was seen by somebody.' },
  { list: 'raised', label: 'Raised', none: 'Nothing is raised.' },
  { list: 'readable', label: 'Text has come', none: 'No text has come that you waited for.' },
  { list: 'waiting', label: 'Waiting for text', none: 'Nobody waits for a text.' },
  { list: 'unsure', label: 'Unsure', none: 'Nobody is unsure of anything.' },
  { list: 'changed', label: 'Changed since', none: 'Nothing has changed that you decided on.' },
  { list: 'rested', label: 'Rested', none: 'Nothing rests for you.' },
  { list: 'disputed', label: 'We disagree', none: 'Nobody passed what another keeps.' },
] as const satisfies readonly {
  list: keyof Schema['ListCounts'];
  label: string;
  none: string;
}[];

/** Lists that can be looked at in part, or in another order. */
export const IN_PART: readonly string[] = ['owed', 'nobody', 'rested'];

export const SHOWN = [
  { show: '', label: 'all of it' },
  { show: 'said', label: 'what others keep or raise' },
  { show: 'kept', label: 'what we tend to keep first' },
] as const;

export type ListName = (typeof LISTS)[number]['list'];
