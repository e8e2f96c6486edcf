import type { Schema } from '../../api';

/** Works whose parts are cited and kept each by itself. */
const IN_CHAPTERS = ['book', 'thesis', 'report'];

/** A chapter with the numbers on its first and its last page. */
export type Chapter = { title: string; from: string; to: string };

/** The chapter that begins with a part; undefined for what is no chapter. */
export function chapterOf(
  kind: string,
  parts: Schema['PartShown'][],
  at: number,
  labels: string[],
): Chapter | undefined {
  const part = parts[at];
  if (!part || !IN_CHAPTERS.includes(kind) || !isChapter(part) || labels.length < 2) {
    return undefined;
  }
  const next = parts.slice(at + 1).find(isChapter);
  const last = next ? Math.max(part.page, next.page - 1) : labels.length - 1;
  return { title: part.title, from: labels[part.page] ?? '', to: labels[last] ?? '' };
}

function isChapter({ kind, level }: Schema['PartShown']): boolean {
  return kind === 'section' && level === 1;
}

/** As it is cited: itself, then the work around it. */
export function cited(chapter: Chapter, citation: string): string {
  return `“${chapter.title}”, ${pages(chapter)}. In: ${citation}`;
}

/** As it is kept: what of the work is meant. */
export function meant(chapter: Chapter): string {
  return `“${chapter.title}”, ${pages(chapter)}`;
}

function pages({ from, to }: Chapter): string {
  return from === to ? `p. ${from}` : `pp. ${from}–${to}`;
}
