import { useSyncExternalStore } from 'react';
import { isBlank, type Line } from '../strategy';

const KEY = 'lantern.guide';
const OVER = 'over';
const listeners = new Set<() => void>();

function set(value: string): void {
  localStorage.setItem(KEY, value);
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Begins the guide at its first step. */
export function beginGuide(): void {
  set('0');
}

/** Goes to a step; it never comes back unasked once it was left. */
export function guideTo(step: number): void {
  set(step < STEPS.length ? String(step) : OVER);
}

export function leaveGuide(): void {
  set(OVER);
}

/** The step that the guide is at, counted from 0; `offered` before it was begun or left. */
export function useGuide(): number | 'offered' | 'over' {
  const value = useSyncExternalStore(subscribe, () => localStorage.getItem(KEY));
  if (value === null) return 'offered';
  return value === OVER ? 'over' : Number(value);
}

const words = (line: Line) => line.kind === 'words' && !isBlank(line);

type Step = {
  title: string;
  says: string;
  /** Whether what stands on the sheet is what the step asks for. */
  done: (lines: readonly Line[], settled: boolean) => boolean;
  /** The lines that would do it; none where it is not for the sheet to do. */
  lines?: readonly Omit<Line, 'id'>[];
};

const line = (text: string): Omit<Line, 'id'> => ({ kind: 'words', text });

/** A first search, in the order in which people who are good at it go. */
export const STEPS: readonly Step[] = [
  {
    title: 'Type an idea',
    says: 'Write “moths street lights” in the first line. The count moves while you type: look at it first. A hundred can be read through, ten thousand cannot.',
    done: (lines) => lines.some((each) => words(each) && (each.text ?? '').trim().includes(' ')),
    lines: [line('moths street lights')],
  },
  {
    title: 'One line for one idea',
    says: 'Put the lights into a line of their own, with the empty line below or Shift and Enter. Each line now tells what it finds alone, and what is left after it.',
    done: (lines) => lines.filter(words).length >= 2,
    lines: [line('moths'), line('street lights')],
  },
  {
    title: 'Other words for it',
    says: 'Authors say it differently. Join other words by or: “moths or lepidoptera”. An asterisk stands for any ending: “lamp*”. More is found, and nothing is lost.',
    done: (lines) => lines.some((each) => words(each) && / or /i.test(each.text ?? '')),
    lines: [line('moths or lepidoptera'), line('"street lights" or lamp*')],
  },
  {
    title: 'Narrow it',
    says: 'Press Limit and pick some years in the bars. A limit is a line like any other: it stands there until you strike it, whatever else you change.',
    done: (lines) => lines.some((each) => each.kind === 'limit'),
    lines: [
      line('moths or lepidoptera'),
      line('"street lights" or lamp*'),
      { kind: 'limit', property: 'date', last: 3 },
    ],
  },
  {
    title: 'Settle it',
    says: 'Press Enter: the search is now a step on your trail, with an address. Keep a publication with 1, or save the search, so that an alert can watch it.',
    done: (_, settled) => settled,
  },
];
