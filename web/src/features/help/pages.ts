import { ARRIVALS, MARK_KEYS } from './arrivals';
import { CATALOGUE } from './catalogue';
import { FOLDERS } from './folders';
import { TEXTS } from './texts';
import type { Word } from './words';

/** A short page of help. */
export type HelpOf = {
  title: string;
  /** Where it helps, below the group's address. */
  path: string;
  says: readonly string[];
  /** Lines that can be run, with what they do. */
  lines?: readonly (readonly [string, string])[];
  /** Keys with what they do. */
  keys?: readonly (readonly [string, string])[];
  words: readonly Word[];
};

export const PAGES: Record<string, HelpOf> = {
  today: {
    title: 'Today',
    path: 'today',
    says: [
      'Above, each mark is an arrival of the last month on the day it came, lit where you have looked.',
      'Waits for you: arrivals that you have not reviewed, what a colleague raised or asks you by name, what you have to look up, copies that came, revisions to check, and what does not work as it should. A line goes when it is dealt with where it leads; Looked at lets a remark that mentions you wait no more.',
      'Beside it stands what the others did since your last visit, folded by person and place. A visit ends when you were not seen here for an hour.',
      'Activity has everything line by line, also of one folder, publication, saved search or alert. What you did yourself is undone from there, as long as nobody changed the same thing since.',
    ],
    words: ['round', 'raise', 'lamp'],
  },
  tasks: {
    title: 'To be looked up',
    path: 'tasks',
    says: [
      'A task is noted here, on the leaf of a publication, from a remark, or beside a work that a publication cites and that is not here. When such a work comes, its task says so.',
      'It is somebody’s, or waits for whoever takes it; yours wait for you on Today, what is due first before the rest.',
      'It ends as done, with what came of it if there is something to say, or is given up with a word why. Both can be undone, and it can be opened again.',
    ],
    words: ['task'],
  },
  questions: {
    title: 'Questions',
    path: 'questions',
    says: [
      'A colleague is asked from a sheet, a list, a round or a publication. What you look at goes along as it is: they open the same list in the same order, with the same work beside it. Only the two of you see the question.',
      'The librarian is whom the group asks about searching; coordinators say in the group’s settings who that is. Where nobody is, coordinators answer, and they take over what somebody was asked who has left.',
      'Whoever is asked changes the sheet and answers with it. What it gains and loses stands at the answer, with titles, before you take it; taken from a saved search, it can be saved as its next revision.',
      'A question waits on Today for the side whose turn it is, until whoever asked says that nothing more is needed.',
    ],
    words: ['librarian', 'revision'],
  },
  account: {
    title: 'Your account',
    path: 'account',
    says: [
      'Whoever forgot a password asks for a link where one signs in: it works once, for an hour. Changing the password ends all other visits.',
      'Another address counts once it has answered the letter that is sent to it; the former one is told.',
      'On a day on which something waits for you, a letter tells of it at your hour, once: remarks that mention you, questions and answers that came since the letter before. It can be switched off.',
      'Everything about you can be taken along as an archive of JSON files with the texts that you brought in, and can be erased: what you said and marked in your groups stays there, under no name.',
      'Where you are signed in is listed with the last use; a visit that you do not know is ended there, and then the password changed.',
      'Colours, single keys and the language of dates belong to this browser, not to the account.',
    ],
    words: ['lamp'],
  },
  group: {
    title: 'The group',
    path: 'group',
    says: [
      'A coordinator asks people in by mail: the link in the letter works once, for that address, for seven days. It can be taken back; another letter makes the first one’s link void.',
      'Whoever is away says when, a coordinator for anybody. What comes on those days is not theirs to review; what they owed before stays. Taken back, all of it is theirs again.',
      'Who has an account joins with it, who has none makes one. Whoever joins owes what comes from then on; what was said before is theirs to read.',
      'Coordinators give roles and end memberships; a group keeps one coordinator. Everybody may leave; what they marked and said stays.',
      'What holds for the whole group is set by its coordinators: its name, where its days begin, who is asked about searching, whether members ask people in, the limits that a new sheet begins with, and reasons for passing that are offered beside a round.',
      'Whoever has an account may found a group, under their name in the top line; who is in several finds them there, too.',
    ],
    words: ['round'],
  },
  search: {
    title: 'Searching',
    path: 'search',
    says: [
      'Type two or three words and look at the count first. Too many: add a line. Too few: give an idea other words, or look at which line costs the most.',
      'One line stands for one idea. Its words are joined by or; neighbouring words mean all of them; quotation marks mean next to each other, as written. An asterisk after three letters stands for any ending. Not in front of a line rules it out.',
      'Limits are lines too, and are set from the strip of bars. Nothing is in force that does not stand on the sheet.',
      'Details under a line show in which field it is met, other spellings, and what widening it would bring. Each has its count; nothing is applied unasked.',
      'Saving a search keeps it for the group. Set an alert on it, and what comes in later is told.',
    ],
    lines: [
      ['dimming moths', 'both words, in any form'],
      ['"part-night lighting" or curfew*', 'a phrase, or any ending'],
      ['title: (bat or bats) not bridge*', 'a field, brackets, ruled out'],
      ['heading/narrower: "Bats"', 'a heading with all below it'],
      ['author: oxlade year: 2025-2026', 'a person, some years'],
    ],
    keys: [
      ['Enter', 'settles the search and goes to the list'],
      ['Shift Enter', 'one more line'],
      ['Alt ↑ ↓', 'moves a line'],
      ['/', 'to the last line'],
      ['u U', 'undo, redo'],
    ],
    words: ['alone', 'left after it', 'without it', 'limit', 'settled', 'leaf'],
  },
  ...TEXTS,
  trail: {
    title: 'The trail',
    path: 'trail',
    says: [
      'Every search you settle is a step, with what it found then and what the step before had found. Going on from any of them is opening it.',
      'Tick two steps to see what the second gained and lost, with titles; or to have everything from the one to the other in writing.',
      'A step can stand on the sheet as a line of its own, and be joined with other lines.',
      'Nobody but you sees your trail. A report of it that you keep in a folder is there for the group.',
    ],
    words: ['step', 'settled', 'trail', 'note'],
  },
  saved: {
    title: 'Saved searches',
    path: 'folders',
    says: [
      'A saved search belongs to the group. Searching for it makes it a step on your trail.',
      'To change it, put it on the sheet, and save it as the next revision. You see what the change gains and loses, with titles, before you save. Nothing older is lost.',
      'A documented search asks why it is changed each time, and keeps every run: that is what a systematic review has to report.',
      'Give a revision to a colleague to check. They remark on single lines and say when they are through. The report says who checked it.',
    ],
    words: ['revision', 'documented', 'alert'],
  },
  report: {
    title: 'Reports',
    path: 'trail',
    says: [
      'A report tells what was searched, line by line with counts, in which sources, of what date, and what was not searched: what PRISMA-S asks for. It says what changed since the search was made.',
      'It can be printed, downloaded as DOCX or text, and kept in a folder as it reads today.',
    ],
    words: ['note', 'source', 'revision'],
  },
  publication: {
    title: 'A publication',
    path: 'search',
    says: [
      'Its title, people, place and dates are as its sources supply them; where they differ, the versions beside each other show who says what.',
      'Below stand the ways outward: what it cites, what cites it, what is alike and why. Each is a line that can be searched on. Counts are of what is here, on the day that is said; works that it cites and that are not here are listed by DOI.',
      'What became of it since, a correction or a retraction, stands above everything else.',
      'Words that you select in the abstract can be looked up, or put on the sheet.',
    ],
    keys: [
      ...MARK_KEYS,
      ['n', 'keep with a note'],
      ['l', 'copy the stable link'],
      ['c', 'copy the citation'],
      ['j k', 'next and former of the list it was opened from'],
      ['u', 'back to the list'],
    ],
    words: ['keep', 'lamp', 'stable link', 'heading'],
  },
  note: {
    title: 'Notes',
    path: 'folders',
    says: [
      'A note is an account as it read on its day: a report, a comparison, a stretch of the trail. It does not change when the catalogue does.',
      'The same today makes the account anew, so that the two can be read beside each other.',
    ],
    words: ['note', 'stable link'],
  },
  ...ARRIVALS,
  ...FOLDERS,
  ...CATALOGUE,
};
