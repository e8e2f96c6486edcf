import type { Schema } from '../../api';

/** Works whose parts are cited and kept each by itself. */
const IN_CHAPTERS = ['book', 'thesis', 'report'];

/** A chapter with the numbers on its first and its last page; a text in one piece has none. */
export type Chapter = { title: string; pages?: { from: string; to: string } };

/** The part that begins the chapter in which a part lies; -1 where none does. */
export function beginning(parts: Schema['PartShown'][], at: number): number {
  const level = levelOfChapters(parts);
  return parts.findLastIndex((part, n) => n <= at && isChapter(part, level));
}

/** The chapter that begins with a part; undefined for what is no chapter. */
export function chapterOf(
  kind: string,
  parts: Schema['PartShown'][],
  at: number,
  labels: string[],
): Chapter | undefined {
  const part = parts[at];
  const level = levelOfChapters(parts);
  if (!part || !IN_CHAPTERS.includes(kind) || !isChapter(part, level)) return undefined;
  if (labels.length < 2) return { title: part.title };
  const next = parts.slice(at + 1).find((one) => isChapter(one, level));
  const last = next ? Math.max(part.page, next.page - 1) : labels.length - 1;
  return {
    title: part.title,
    pages: { from: labels[part.page] ?? '', to: labels[last] ?? '' },
  };
}

function isChapter(part: Schema['PartShown'], level: number): boolean {
  return part.kind === 'section' && part.level === level;
}

/** The highest of which there are several: above it may stand the title of the whole. */
function levelOfChapters(parts: Schema['PartShown'][]): number {
  const levels = parts.filter(({ kind }) => kind === 'section').map(({ level }) => level);
  const several = levels.filter((level, n) => levels.indexOf(level) !== n);
  return Math.min(...(several.length > 0 ? several : levels));
}

/** As it is cited: itself, then the work around it. */
export function cited(chapter: Chapter, citation: string): string {
  return `${meant(chapter)}. In: ${citation}`;
}

/** As it is kept: what of the work is meant. */
export function meant(chapter: Chapter): string {
  const title = `“${chapter.title}”`;
  if (!chapter.pages) return title;
  const { from, to } = chapter.pages;
  return from === to ? `${title}, p. ${from}` : `${title}, pp. ${from}–${to}`;
}
