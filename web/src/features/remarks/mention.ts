/** What is being mentioned where the caret is: from `@` on, without it. Null: nothing is. */
export function mentionAt(text: string, caret: number): { from: number; typed: string } | null {
  const before = text.slice(0, caret);
  const at = before.lastIndexOf('@');
  if (at < 0 || (at > 0 && /[\p{L}\p{N}]/u.test(before[at - 1] ?? ''))) return null;
  const typed = before.slice(at + 1);
  return /^[\p{L}\p{N}’' -]{0,40}$/u.test(typed) ? { from: at, typed } : null;
}

/** Members whose name, or a part of it, begins so; without letters all of them. */
export function fitting(names: readonly string[], typed: string): string[] {
  const wanted = typed.toLowerCase();
  const fit = names.filter((name) => {
    const small = name.toLowerCase();
    return small.startsWith(wanted) || small.split(' ').some((part) => part.startsWith(wanted));
  });
  // A name that is written out is not offered any more.
  return fit.some((name) => name.toLowerCase() === wanted.trim()) ? [] : fit;
}

/** The text with a name put in where it was being mentioned, and where the caret goes. */
export function mentioning(text: string, caret: number, name: string): [string, number] {
  const mention = mentionAt(text, caret);
  if (!mention) return [text, caret];
  const head = `${text.slice(0, mention.from)}@${name} `;
  return [head + text.slice(caret).replace(/^ /, ''), head.length];
}
