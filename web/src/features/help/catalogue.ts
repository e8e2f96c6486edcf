import type { HelpOf } from './pages';

/** Help for the parts of Catalogue. */
export const CATALOGUE: Record<string, HelpOf> = {
  headings: {
    title: 'Headings',
    path: 'catalogue/headings',
    says: [
      'Look an idea up by the words you would use: other names lead to the heading that stands for it.',
      'Ask for it alone, with everything below it, only where it is central, or in one aspect; what you choose has to hold of one and the same heading.',
      'New records have no headings for some weeks. A search of headings only is told how many it cannot see yet.',
    ],
    words: ['heading', 'with narrower', 'central', 'aspect', 'steward'],
  },
  journals: {
    title: 'Journals',
    path: 'catalogue/journals',
    says: [
      'Look a journal up by words of its title, also by one it had before, or by its ISSN.',
      'It tells what the sources have of it, what your group may read, and the issues that are here. Searching only there is one act.',
    ],
    words: ['holdings', 'source', 'limit'],
  },
  sources: {
    title: 'Sources',
    path: 'catalogue/sources',
    says: [
      'Where records come from, how many, of which years, and when each was last asked. The same work from two sources is one publication; every source’s record is kept as it was supplied.',
      'A steward adds a source by the address of its OAI-PMH server: it is looked at, and its first records are shown as they would be read, before anything is kept. Paused, it supplies nothing more; what it has supplied stays. Ended, what it supplied is taken back, and what that withdraws is counted before. Files of records are loaded into sources that have no address.',
      'Each of its records can be looked up: as it was supplied, as it is read, and what it stands under.',
    ],
    words: ['source', 'steward'],
  },
  followed: {
    title: 'Feeds of others',
    path: 'catalogue/followed',
    says: [
      'Give the address of a feed, RSS or Atom: how its first entries would be read as works is shown before it is followed. A list of feeds that another reader wrote (OPML) is taken in with one act.',
      'Every hour what is new in it comes into the catalogue, for your group alone. Alerts find it as they find anything that comes; an alert on the feed itself is set from here. The same work is one publication, whoever supplied it first.',
      'A feed that does not answer is asked less and less often, up to once a day; after three tries it is told on Today. Ended, what it brought stays.',
    ],
    words: ['source', 'alert', 'arrival'],
  },
  holdings: {
    title: 'Holdings',
    path: 'catalogue/holdings',
    says: [
      'A coordinator brings in a KBART file of what the group may read. Access in every list follows from it, for the day on which you look. A book is held by its ISBN.',
      'Volumes in print have a file of their own, with their places: they stand among the ways to a text before a copy request. What you may read by rights of your own, elsewhere, you bring in yourself; it leads you to the publisher and nobody else sees it.',
      'Where your library has a link resolver, a coordinator notes its address: whatever is not open then leads there as well, with the citation filled in (OpenURL). Links of others that begin with the address of this installation and /openurl lead to the publication here.',
    ],
    words: ['holdings'],
  },
  requests: {
    title: 'Copy requests',
    path: 'catalogue/requests',
    says: [
      'What your group cannot read is asked for from here: the citation is filled in, and whoever asks for the same work joins. The library delivers, refuses or asks back; each request says how it stands and how long it has waited.',
      'A coordinator says who lends, in which order they are asked, and of which kinds and years. The first that takes a work is asked, unless you choose another; after its refusal the next comes first. Where a library has no address that takes requests, you carry them there and say how they stand.',
    ],
    words: ['copy request', 'holdings'],
  },
  house: {
    title: 'House',
    path: 'catalogue/house',
    says: [
      'For stewards: how the installation is. What it holds and takes, what is behind, when its jobs ran, the last copy, and what is not there yet.',
      'Everything that is derived is held against what it is derived from every night, and when a steward asks. What can be put right is; the rest is told.',
    ],
    words: ['steward', 'source'],
  },
};
