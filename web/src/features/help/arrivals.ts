import type { HelpOf } from './pages';

export const MARK_KEYS = [
  ['1', 'keep'],
  ['2', 'pass'],
  ['3', 'raise for the group'],
  ['4', 'hold'],
  ['5', 'seen'],
  ['6', 'hold for text'],
  ['0', 'undo'],
] as const;

/** Help for what arrives, and for what brings it. */
export const ARRIVALS: Record<string, HelpOf> = {
  arrivals: {
    title: 'Arrivals',
    path: 'arrivals',
    says: [
      'What an alert finds arrives in its round. Each member has a lamp on each arrival; reviewing it lights the lamp, here and wherever else the work arrives.',
      'Scrolling past or opening is not reviewing: only a mark is.',
      'The board shows who is through with which round, and what nobody has looked at.',
      'A work that somebody of the group kept or passed returns when it is retracted or corrected, with lamps of its own and what each had said before. A pass takes it out of your folders then.',
      'Lists go through all rounds at once: what is left for you, what nobody has seen, what you had decided on and was retracted or corrected since, what somebody raised or is unsure of, whose text somebody waits for and whose text has come, and where one keeps what another passed. What leaves a list while you go through it stays where it is, quietly, until you open the list again.',
      'Tick several to mark them at once, with one reason; that is one act a round. Without a network go on: marks wait in this browser, in their order, and are sent as soon as the server can be reached.',
      'Where an alert asks for it you decide apart: what you say is read by nobody else until as many have decided as it asks for, and a keep comes into its folder then. Others see that you have reviewed it; of what you hold they see nothing. What you write in remarks is read at once.',
      'What comes while you are away rests: it waits for nobody, and stands under Rested. A heap that waits all the same can be let rest, whole, of one alert or what came before a day, from what is left for you. There and under Rested you look at what others keep or raise alone, or at what you tend to keep first.',
      'The board is a page of its own, for the wall: by round, by week or by alert, a month or a year at a glance. A number leads to what it counts. It can be printed on a sheet and taken along as a table.',
      'Beside why it is here an arrival says how it relates to what is in your folders: what it shares with which folder, what it cites there, and whose works you keep.',
      'In the round of a journal works stand as in its issues; the order can be chosen in every round. What we tend to keep first is learned every night from what was kept and passed: headings, authors, journals, references and words of it. It says what moves a work up, is the same for all of you, and hides nothing.',
    ],
    keys: [...MARK_KEYS, ['j k', 'next, former'], ['x', 'tick']],
    words: [
      'arrival',
      'lamp',
      'round',
      'gathering',
      'covered',
      'keep',
      'pass',
      'raise',
      'hold',
      'hold for text',
      'seen',
      'rested',
    ],
  },
  meetings: {
    title: 'Meetings',
    path: 'meetings',
    says: [
      'A meeting goes through what stands open: what somebody raised, then what one keeps and another passes; what has stood longest comes first. Until it begins the agenda is what stands open at the moment, and it can be sent to all members by mail.',
      'When it begins its agenda stands. One work comes after another: what each said, and what the group comes to. Whoever writes it down writes it for all; a work that another has decided on meanwhile says so.',
      'A keep goes into the folder in the name of the group, and stays there whatever a member takes back. A pass takes the work out of the folders that you tick. What is left open stands on the next agenda.',
      'What is kept or passed together is neither raised nor disputed any more, until somebody says something else of it. What each member had said stays as it was; whoever is there and had said nothing has seen the work.',
      'When it is over its minutes tell who was there, what each had said before, and what was decided. They can be taken along as text or DOCX, and kept in a folder. Every act can be undone.',
    ],
    keys: [
      ['1', 'we keep it'],
      ['2', 'we pass it'],
      ['3', 'we leave it open'],
      ['n', 'what is to be remembered'],
      ['j k', 'next, former'],
      ['0', 'undo'],
    ],
    words: ['raise', 'keep', 'pass', 'lamp'],
  },
  flow: {
    title: 'Flow',
    path: 'flow',
    says: [
      'What became of what one alert brought, or all of them, in days of your choice: from the records that sources had of it to the works that you keep with their texts. The steps are those of the PRISMA 2020 flow diagram.',
      'Each work is counted once, in the state in which it stands now, so the numbers add up; each leads to its works. Raised, held, and kept by one and passed by another is not decided yet. A pass counts under the reason given last; what a meeting decided counts until somebody says something else.',
      'The drawing leaves as SVG; the whole as a report with what each alert looks for and since when: as a page to be printed, text, DOCX, or kept in a folder as it is today. Who reviewed is named only if you choose so.',
    ],
    words: ['alert', 'source', 'keep', 'pass'],
  },
  alerts: {
    title: 'Alerts',
    path: 'alerts',
    says: [
      'An alert watches a saved search. Before it is set it shows what the last twelve months would have brought, and says where that is much or nothing. What is there already is never announced, unless you take the last months as its first round; nothing is announced twice, not from two sources and not by two alerts.',
      'It is set on a saved search, or from where you are: on what is on the sheet, a journal, a heading, what cites a work, an author. The search is saved with it then, and can be opened on the sheet.',
      'Every night it is held against all that its search finds. What headings, holdings or the calendar have widened goes quietly into its memory and stands on its page; it comes into a round if you choose so.',
      'What came of it stands on its page, word by word: how many each brought, and how many of those were kept. A word that brings hardly anything you keep is told, with what would not have come without it.',
      'From a folder it is set on what newly cites anything that is kept there, or on what changes there: what was retracted or corrected, to be reviewed; what appeared in its final version, was opened to all or was taken back, only told. What is kept there later is followed, too.',
      'Its rounds close by its rhythm. The bars show how many its last rounds brought; nothing found is told as well.',
      'It says how many members look at each arrival and what counts: any mark, a keep or a pass, or those given apart. How far they agree who decided apart stands on its page: for each two and for all, with the interval in which the figure lies, and how many works were left out.',
      'What its closed rounds brought stands in the letters of everybody, or of those who were named when it was set; each member has it in or out on its page. A mark in a letter leads to a page with one button: nothing is marked by opening it.',
    ],
    words: ['alert', 'rhythm', 'round', 'finding'],
  },
  feeds: {
    title: 'Your feeds',
    path: 'feeds',
    says: [
      'A feed tells something to your own reader of feeds: an alert, all of your alerts, what you have not looked at, what is raised, a folder, a journal. It is followed from its own page, and told as you see it.',
      'Its address is secret and yours alone. It says who read it last; revoked, it is gone for good, and a new one can be made.',
      'You choose for each feed whether opening one of its entries marks it seen. Reading the feed marks nothing.',
      'A feed follows the name of what it tells. When an alert ends, its feed says so, and is gone a month later.',
      'Atom, RSS and JSON Feed are the same in three forms. OPML is the list of all your feeds, for a reader that takes one in.',
    ],
    words: ['alert', 'round', 'gathering'],
  },
};
