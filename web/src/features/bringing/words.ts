import type { Schema } from '../../api';

type Counts = Schema['BroughtCounts'];

/** Lists of entries that can be looked at, with how many are in each. */
export function listsOf(counts: Counts): { of: string; words: string; n: number }[] {
  const lists = [
    { of: '', words: 'all', n: counts.all },
    { of: 'new', words: 'new', n: counts.fresh },
    { of: 'here', words: 'here already', n: counts.here },
    { of: 'doubtful', words: 'doubtful', n: counts.doubtful },
    { of: 'twice', words: 'twice in it', n: counts.twice },
    { of: 'faulty', words: 'with faults', n: counts.faulty },
    { of: 'out', words: 'left out', n: counts.out },
    { of: 'added', words: 'added', n: counts.added },
    { of: 'joined', words: 'put to what was here', n: counts.joined },
    { of: 'there', words: 'in the folder before', n: counts.there },
    { of: 'failed', words: 'not taken', n: counts.failed },
    { of: 'returned', words: 'taken back', n: counts.returned },
    { of: 'stays', words: 'stay', n: counts.stays },
  ];
  return lists.filter(({ of, n }) => of === '' || n > 0);
}

const KEYS: Record<string, string> = {
  doi: 'by its DOI',
  place: 'by journal, volume and first page',
  title: 'by title, year and first author',
  record: 'brought in before',
};

/** By what it is known; a number of a register is called as it is. */
export function byKey(key: string): string {
  return KEYS[key] ?? (key ? `by its ${key.toUpperCase()}` : '');
}

const OUTCOMES: Record<string, string> = {
  added: 'added',
  joined: 'put to what was here',
  there: 'was in the folder',
  out: 'left out',
  failed: 'could not be taken',
  returned: 'taken back',
  stays: 'stays: a colleague keeps it or said something of it, or it is in another folder',
};

/** What became of an entry, or what it seems to be. */
export function standing({ found, byKey: key, decision, outcome }: Schema['BroughtEntry']): string {
  if (outcome) return OUTCOMES[outcome] ?? outcome;
  if (decision === 'out') return 'left out';
  if (decision === 'same') return 'is what is here';
  if (decision === 'another') return 'is another work';
  if (found === 'twice') return `the same as entry ${key}`;
  if (found === 'here') return ['here already', byKey(key)].filter(Boolean).join(', ');
  return found;
}

/** One who never brought anything in sees how it stands. */
export const STATES: Record<string, string> = {
  open: 'looked at, not taken',
  taking: 'being taken',
  taken: 'taken',
  returning: 'being taken back',
  returned: 'taken back',
};
