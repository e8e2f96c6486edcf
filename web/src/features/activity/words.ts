import type { Schema } from '../../api';

type Deed = Schema['DeedShown'];

/** A piece of a sentence; one with an address leads there. */
export type Piece = { text: string; to?: string };

/** Where a thing of a sort stands, below the group's address; what has no page is only named. */
const PAGES: Partial<Record<string, (id: string) => string>> = {
  folder: (id) => `f/${id}`,
  search: (id) => `s/${id}`,
  alert: (id) => `a/${id}`,
  publication: (id) => `p/${id}`,
  note: (id) => `n/${id}`,
  task: () => 'tasks',
  question: (id) => `questions/${id}`,
  meeting: (id) => `meetings/${id}`,
};

/** What a thing is called where its name is gone, or not the reader's to see. */
const UNNAMED: Record<string, string> = {
  folder: 'a folder',
  search: 'a saved search',
  alert: 'an alert',
  publication: 'a publication',
  note: 'a report',
  person: 'somebody',
  task: 'something',
  question: 'something',
  meeting: 'a meeting',
};

/** What was done, without who did it: words, and what they lead to. */
export function pieces(deed: Deed, group: string): Piece[] {
  const things = [...deed.things];
  const next = (of: string) => {
    const at = things.findIndex((thing) => thing.of === of);
    return at < 0 ? undefined : things.splice(at, 1)[0];
  };
  return deed.words
    .split(/(\{\w+\})/)
    .flatMap((part): Piece[] => {
      if (!part.startsWith('{')) return [{ text: part }];
      const of = part.slice(1, -1);
      if (of === 'publications') return publications(deed, group);
      const thing = next(of);
      return thing ? [named(thing, group)] : [];
    })
    .filter((piece) => piece.text !== '');
}

function publications(deed: Deed, group: string): Piece[] {
  const only = deed.some[0];
  if (deed.publications === 1 && only) return [named(only, group)];
  if (deed.publications === 0) return [{ text: 'something' }];
  if (deed.publications === 1) return [{ text: 'a publication' }];
  return [{ text: `${deed.publications.toLocaleString('en-GB')} publications` }];
}

function named(thing: Schema['ThingNamed'], group: string): Piece {
  const page = PAGES[thing.of];
  const isKnown = thing.name != null || thing.of === 'note';
  const text = thing.name ?? UNNAMED[thing.of] ?? 'something';
  return isKnown && page ? { text, to: `/g/${group}/${page(thing.id)}` } : { text };
}
