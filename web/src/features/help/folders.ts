import type { HelpOf } from './pages';

/** Help for folders, and for who sees them. */
export const FOLDERS: Record<string, HelpOf> = {
  folders: {
    title: 'Folders',
    path: 'folders',
    says: [
      'A folder is the group’s: publications with who kept them and why, saved searches, and dated notes.',
      'It is read like the list of a search: in one of six orders, with the leaf beside, and with the same keys. What is ticked is moved or copied into another folder, or taken out, as one act; what was said when it was kept goes along, and who wrote it writes it anew.',
      'What you say of a publication stands on its leaf in every list, for the whole group: it is answered, and settled when it is. A name behind @ asks that member to look.',
      'Your pile is your own. What you keep there is marked as seen by you; others learn nothing else.',
      'A folder goes into another with all that is in it: what is in both stands once, and its address leads there. A copy has the same publications with what was said of them.',
      'In a search, what is kept nowhere yet, or lies in one folder, can be listed by itself. That is your own view of the list: the count, files and alerts are of the whole search.',
      'A folder, a round, what a search finds, or what is ticked, leaves as a file of references: RIS, BibTeX, BibLaTeX, CSL-JSON, MODS, CSV or plain text. How it begins stands beside the choice. Works keep their keys from file to file.',
      'The same can be a table to compare side by side, in columns of your choice, or a letter to members and others. A letter carries citations, links and your note, and nothing that members said; how it stands is told under what you sent.',
    ],
    words: ['pile', 'keep', 'note', 'stable link'],
  },
  bringing: {
    title: 'Bringing references in',
    path: 'bring',
    says: [
      'Files of references come in from any program, several at once or packed; what they are shows in what they hold. A long one can be looked at as it begins, while the rest is read. What cannot be read is named with file and line, and the rest comes in.',
      'Before anything is written, each entry says whether it is new, here already and by which key, like something that is here but not surely the same, or in the files twice; and what is wrong in it. A doubtful one stands beside what it may be: it is this one, another work, or left out. The others need not wait for it.',
      'What is taken goes into one folder, as kept by you, with its notes as the reason. It is the group’s own: searched together with everything else, seen by no other group, announced by no alert. Of a work that is here already only your group’s record is added.',
      'The receipt says of each entry what became of it, and takes all of it back, also while it is still being taken, or one that was decided wrongly, to be decided anew; what a colleague keeps or said something of stays. The same file again adds nothing.',
      'What the columns of a table hold can be said, and is remembered for the next table with the same heads.',
      'A list of references, pasted as a paper has it, is looked up by DOIs, stable links and titles: those that are here go into a folder, the others can be noted to be looked up.',
    ],
    words: ['keep', 'stable link'],
  },
  drive: {
    title: 'The drive',
    path: 'drive',
    says: [
      'A drive is a folder that everybody in the group has on their machine, at an address that speaks WebDAV. A coordinator sets it; it is tried before it is kept, and its password is never shown again.',
      'Onto it go a folder, a search, a round or chosen works as a file of references, a bibliography, or a text; into a folder that is made if it is not there.',
      'A file can be kept up to date: it is written again when what it holds has changed, at most once in a quarter of an hour. A manuscript’s .bib is never old so.',
      'Nothing of others is written over: if another file stands under that name, or somebody changed ours there, it says so and waits for you.',
      'A file holds what whoever put it there may see. When they leave the group it stays as it is, until somebody puts it there in their own name.',
      'What passes by itself is tried again: a drive that is full, slow or locked. What needs you stands on Today.',
    ],
    words: ['stable link'],
  },
  bibliography: {
    title: 'A bibliography',
    path: 'folders',
    says: [
      'Each folder is a bibliography, too: its works in a citation style, in the order of the style or in the folder’s order by hand. Style and order are set for everybody who sees the folder; whoever only reads it tries another style for themselves. Without a style of its own it follows the group’s.',
      'There are more than ten thousand styles; they are found by title, discipline, journal or ISSN, and the edition stands in the title.',
      'Each entry is looked at before it leaves: capitals throughout, signs of a page, reversed pages, what the style prints and the record lacks, authors whom another source has in another order, a retraction. What can be mended is mended with one key, in the group’s own reading: every list, file and copy of the group has it from then on, what is supplied stays as it was, and when a source changes it the two are shown beside each other. What is certain is mended all at once.',
      'Whoever compared an entry with the work itself ticks it; a change of anything in it clears the tick.',
      'Below an entry stands an annotation, if somebody writes one: a line is a paragraph, words between stars are emphasised. Colleagues type it as they would write it, or choose words and say something of them; the writer takes or leaves each change, and every earlier wording stays. It is a draft, to be read, or agreed, for which it takes a second person; what is to be read, and what was said of one’s own, waits on Today. It goes along when the work is moved or copied.',
      'An entry that quotes a work which nobody has read names both, and to read that one is noted to be done. Headings of your own group the entries; below each, they stand in the order of the style. What changed since a day is told on its own page. Files carry headings and annotations, all, the agreed or none; what is not agreed says so.',
      'Copied entries keep their indents and italics in a word processor, and become plain text where nothing else is taken. DOCX, web page and plain text have all entries; a work of which the style prints nothing is named above the list.',
    ],
    keys: [
      ['c', 'copy all entries'],
      ['m', 'mend what is wrong in the entry'],
      ['a', 'write an annotation, or suggest other words'],
      ['x', 'say that the entry was compared with the work'],
      ['j k', 'next and former'],
    ],
    words: ['keep', 'stable link'],
  },
  bin: {
    title: 'The bin',
    path: 'bin',
    says: [
      'A folder or a saved search that ended, and publications that were taken out of a folder, lie in the bin for thirty days. Whoever may change the folder brings them back as they were: with dates, with what was said when they were kept, and in their place in the order by hand.',
      'What was taken out together comes back together, or one by one. What somebody kept again meanwhile is not in the bin any more.',
      'A search comes back without its alert. After thirty days an act is taken back from the activity only, by whoever did it.',
    ],
    words: ['pile', 'keep'],
  },
  people: {
    title: 'Who sees a folder',
    path: 'folders',
    says: [
      'A folder is the group’s: members change what is in it, guests read. It can be set apart: members then only read, or read and remark, except those who are named; or it is for those named only, and to the others as if it were not there. A folder inside counts as the one around it, unless it is set apart.',
      'Somebody from outside is asked to a folder by mail, to read it or to remark on what is in it, and sees nothing else of the group.',
      'By a link anybody reads the citations and follows what is kept by a feed, without names, reasons and remarks. A link is revoked at any time.',
      'What is kept in a folder for some is no verdict: the others see that it was seen. Searches and alerts are the whole group’s, so they stand in folders that everybody sees. When nobody is left who may change a folder, it is with the coordinators.',
    ],
    words: ['pile', 'stable link'],
  },
};
