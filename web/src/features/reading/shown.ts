import { stretches } from './find';
import { withoutBlanks, words, type Folded } from './fold';

/** What is written in a part of the page, and where each piece of it stands. */
export interface Shown {
  folded: Folded;
  text: string;
  pieces: { node: Text; from: number }[];
}

const BLOCKS =
  /^(ADDRESS|ARTICLE|BLOCKQUOTE|BR|CAPTION|DD|DIV|DL|DT|FIGCAPTION|FIGURE|H[1-6]|HR|LI|OL|P|PRE|SECTION|TABLE|TD|TH|TR|UL)$/;

/** Reads what is shown below an element, blocks and lines apart from each other. */
export function shownIn(root: Node): Shown {
  const pieces: Shown['pieces'] = [];
  let text = '';
  const walk = (node: Node) => {
    if (node instanceof Text) {
      pieces.push({ node, from: text.length });
      text += node.data;
      return;
    }
    const breaks = BLOCKS.test(node.nodeName);
    if (breaks) text += '\n';
    node.childNodes.forEach(walk);
    if (breaks) text += '\n';
  };
  root.childNodes.forEach(walk);
  return { folded: words(text), text, pieces };
}

/** The ranges of a page where something stands. */
export function rangesOf(shown: Shown, wanted: RegExp): Range[] {
  return stretches(shown.folded, wanted).map((stretch) => range(shown, stretch));
}

/** The range of a passage, by its letters alone; `nth` of those that are the same. */
export function rangeOfPassage(shown: Shown, quote: string, nth: number): Range | null {
  const letters = withoutBlanks(words(quote)).text;
  if (letters === '') return null;
  const here = withoutBlanks(shown.folded);
  let at = here.text.indexOf(letters);
  let last = at;
  for (let n = 0; n < nth && at >= 0; n++) {
    at = here.text.indexOf(letters, at + 1);
    last = at >= 0 ? at : last;
  }
  if (last < 0) return null;
  const end = (here.at[last + letters.length - 1] ?? 0) + 1;
  return range(shown, [here.at[last] ?? 0, end]);
}

function range(shown: Shown, [from, to]: [number, number]): Range {
  const range = document.createRange();
  const start = pieceAt(shown, from);
  const end = pieceAt(shown, to - 1);
  if (start && end) {
    range.setStart(start.node, from - start.from);
    range.setEnd(end.node, Math.min(end.node.data.length, to - end.from));
  }
  return range;
}

function pieceAt(shown: Shown, place: number) {
  let low = 0;
  let high = shown.pieces.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((shown.pieces[middle]?.from ?? 0) <= place) low = middle;
    else high = middle - 1;
  }
  return shown.pieces[low];
}

/** A passage that somebody chose in a page. */
export interface Chosen {
  quote: string;
  before: string;
  after: string;
  page: number;
  start: number;
}

const AROUND = 120;

/** What is chosen now, if it is inside one page of the text. */
export function chosenIn(pages: ReadonlyMap<number, HTMLElement>): Chosen | null {
  const selection = document.getSelection();
  if (!selection || selection.isCollapsed || selection.rangeCount === 0) return null;
  const chosen = selection.getRangeAt(0);
  for (const [page, root] of pages) {
    if (!root.contains(chosen.startContainer)) continue;
    const end = document.createRange();
    end.selectNodeContents(root);
    // What is chosen beyond the end of a page is left out.
    if (root.contains(chosen.endContainer)) end.setEnd(chosen.endContainer, chosen.endOffset);
    const start = document.createRange();
    start.selectNodeContents(root);
    start.setEnd(chosen.startContainer, chosen.startOffset);
    const before = shownIn(start.cloneContents()).text;
    const upTo = shownIn(end.cloneContents()).text;
    const whole = shownIn(root).text;
    const quote = upTo.slice(commonLength(before, upTo)).replace(/\s+/g, ' ').trim();
    if (quote === '') return null;
    const letters = withoutBlanks(words(before)).text.length;
    const after = withoutBlanks(words(upTo)).text.length;
    const folded = withoutBlanks(words(whole));
    const rest = whole.slice((folded.at[after - 1] ?? whole.length) + 1);
    return {
      quote,
      before: before.replace(/\s+/g, ' ').slice(-AROUND),
      after: rest.replace(/\s+/g, ' ').trim().slice(0, AROUND),
      page,
      start: letters,
    };
  }
  return null;
}

/** Up to where two texts are the same. */
function commonLength(one: string, other: string): number {
  let n = 0;
  while (n < one.length && one[n] === other[n]) n++;
  return n;
}
