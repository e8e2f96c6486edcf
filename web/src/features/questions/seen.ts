/** What of an address says how a list is looked at, and not how it began. */
const LOOKS = ['order', 'p', 'kept', 'of', 'part', 'from'];

/**
 * The address of what is looked at, below that of the group, as it goes along with a question.
 *
 * @param path below the group's address
 */
export function asSeen(path: string, params: URLSearchParams): string {
  const seen = new URLSearchParams();
  for (const [name, value] of params) if (LOOKS.includes(name)) seen.append(name, value);
  const query = seen.toString();
  return query ? `${path}?${query}` : path;
}

let last = '';

/** Notes whose question the member looks into, by its id; empty: nobody's. */
export function lookedAt(question: string): void {
  last = question;
}

/** The question that the member looked into last in this window; empty where there was none. */
export function lastLookedAt(): string {
  return last;
}
