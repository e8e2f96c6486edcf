import type { HelpOf } from './pages';

/** Help where texts are read and written at. */
export const TEXTS: Record<string, HelpOf> = {
  reading: {
    title: 'The reading place',
    path: 'help/reading',
    says: [
      'A text that is open to all is fetched once for your group and read here; one that you have as a file is brought in from the ways to the text, for your group alone.',
      'Find goes through all pages at once: letter case, accents and line ends make no difference, an asterisk stands for any ending. The strip shows where in the work the places are.',
      'Choose a passage and note something at it. Nobody else sees it until you share it; others may then say something to it. A note holds to its words, so that it is found again in another file of the text.',
      'After the text you can say that you read it; your group sees that, and nothing else of what you open. A file goes along alone, with its citation, or with the notes in it.',
      'Copy gives the passage with its note, and the citation with the page on the last line.',
    ],
    keys: [
      ['f', 'to the box for finding'],
      ['. ,', 'next and former place'],
      ['n', 'notes at the passage that is chosen'],
      ['c', 'copies the citation with the page'],
      ['+ − 0', 'larger, smaller, the size that fits'],
      ['u', 'back to where you came from'],
    ],
    words: ['leaf'],
  },
  notes: {
    title: 'Margin notes',
    path: 'notes',
    says: [
      'Everything that you wrote at passages of texts, and what the group shares. The title leads to the place.',
      'A task is something to be looked up; anybody in the group may say that a shared one is done.',
      'Taken along as text, as DOCX, or as Web Annotations, which other programs read.',
    ],
    words: ['leaf'],
  },
};
