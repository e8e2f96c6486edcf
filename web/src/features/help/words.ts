/** Words of our own, each in a sentence or two. */
export const WORDS = {
  alone: 'What this line finds by itself, as if it were the only one.',
  'left after it':
    'What is left when this line and all lines above it hold. The last line shows the result.',
  'without it':
    'What the search would find if this line were struck. Where it is far more than the result, this line costs the most.',
  strategy: 'A search as a short stack of lines. Lines are joined by and.',
  limit:
    'A line that narrows by a property: years, access, kind … It stays until it is struck, whatever words are changed.',
  trail:
    'Every search you settled, with what it found then, and what you opened. It is yours alone.',
  step: 'A search that was settled by Enter, or that stood for two seconds. It has an address for good.',
  settled: 'Enter settles a search: it becomes a step on your trail and gets an address.',
  revision:
    'A state of a saved search. Changing it makes the next one; what that gains and loses is shown before.',
  documented:
    'A search whose every change gives a reason, and whose every run is kept with date and counts.',
  pile: 'Your own place for what you set aside. Nobody else sees what is in it.',
  leaf: 'The place beside a list where one publication is looked at.',
  alert: 'A saved search that is being watched: what comes in and matches arrives in its rounds.',
  rhythm: 'When the rounds of an alert close: at once, daily, weekly or monthly.',
  round:
    'What an alert gathered between two moments of its rhythm. Once closed, its set does not change.',
  gathering: 'The round is still open. What is in it can be reviewed already.',
  arrival: 'A publication that is to be looked at, because something of it is new to the group.',
  finding: 'Which alert found an arrival, and by which words.',
  lamp: 'A member’s mark on an arrival: unlit until that member has reviewed it, then lit everywhere.',
  covered: 'Arrivals that as many members have reviewed, or decided on, as the alert asks for.',
  keep: 'It belongs to what we collect: it goes into the folder of the alert.',
  pass: 'Looked at, and not for us.',
  raise: 'Brought to the group, with a question if you like.',
  hold: 'Not sure yet. The lamp is dim, and it stays owed.',
  'hold for text':
    'Cannot be decided without its text. The lamp is dim; as soon as your group can read the text, it stands in the list Text has come.',
  seen: 'Looked at, without a verdict.',
  rested:
    'Neither reviewed nor owed: what came while you were away, and what you let rest after it.',
  librarian: 'The member whom the group asks about searching.',
  task: 'Something to be looked up: somebody’s, or whoever takes it; open, done, or given up with a word why.',
  heading:
    'A controlled term for an idea, whatever words an author used for it; given by people who index.',
  'with narrower': 'Publications that carry the heading, or any heading below it.',
  central: 'The publication is mainly about it, not only among other things.',
  aspect: 'In which respect a publication is about a heading: its ecology, its control …',
  holdings: 'What the group may read, and for which years.',
  'copy request': 'Asking another library for a text; it is delivered or refused.',
  'stable link': 'The permanent address of a publication. Anyone can open it; it never dies.',
  source: 'A supplier of records. A work that several supply is one publication here.',
  steward:
    'Who looks after the shared catalogue: sources, headings, which records are the same work.',
  note: 'An account of a search or a field, kept in a folder as it was on its day.',
} as const;

export type Word = keyof typeof WORDS;
