import type { MarkMade, Unsent } from './outbox';

/**
 * Marks that are kept in this browser, for all windows, each under a name of its own that begins
 * with when it was made: windows never write over each other. Where the browser keeps nothing, or
 * has no more room, they are kept in this window only.
 */
export class KeptMarks {
  private readonly place: string;
  private readonly known = new Map<string, Unsent>();
  private readonly own = new Set<string>();
  private readonly unkept = new Set<string>();
  private made = 0;

  constructor(place: string) {
    this.place = place;
    this.read();
  }

  add(command: string, made: MarkMade, title: string): void {
    this.made += 1;
    const at = String(Date.now()).padStart(15, '0');
    const key = `${this.place}${at} ${String(this.made).padStart(6, '0')} ${command}`;
    const one = { command, made, title };
    this.known.set(key, one);
    this.own.add(key);
    if (!attempt(() => localStorage.setItem(key, JSON.stringify(one)))) this.unkept.add(key);
  }

  remove(command: string): boolean {
    const key = [...this.known].find(([, one]) => one.command === command)?.[0];
    if (key === undefined) return false;
    this.known.delete(key);
    this.unkept.delete(key);
    attempt(() => localStorage.removeItem(key));
    return true;
  }

  all(): Unsent[] {
    return [...this.known.values()];
  }

  /** The first one of this window, or of another that made it longer ago than so many milliseconds. */
  first(age: number): Unsent | undefined {
    return [...this.known].find(
      ([key]) => this.own.has(key) || this.madeAt(key) < Date.now() - age,
    )?.[1];
  }

  /** Whether something in the browser belongs here; null: everything may have changed. */
  owns(key: string | null): boolean {
    return key === null || key.startsWith(this.place);
  }

  /** What every window of this browser left, in the order in which it was made. */
  read(): void {
    attempt(() => {
      const there = Object.keys(localStorage)
        .filter((key) => key.startsWith(this.place))
        .sort();
      [...this.known.keys()]
        .filter((key) => !there.includes(key) && !this.unkept.has(key))
        .forEach((key) => this.known.delete(key));
      for (const key of there) {
        const one = parsed(localStorage.getItem(key));
        if (one) this.known.set(key, one);
        else localStorage.removeItem(key);
      }
    });
  }

  private madeAt(key: string): number {
    return Number(key.slice(this.place.length).split(' ')[0]);
  }
}

function parsed(stored: string | null): Unsent | undefined {
  try {
    const one = JSON.parse(stored ?? '') as Partial<Unsent>;
    return one.command && Array.isArray(one.made?.publications) && one.made.mark
      ? { command: one.command, made: one.made, title: one.title ?? '' }
      : undefined;
  } catch {
    return undefined;
  }
}

/** False where the browser keeps nothing, or has no more room. */
function attempt(act: () => void): boolean {
  try {
    act();
    return true;
  } catch (error) {
    if (error instanceof DOMException) return false;
    throw error;
  }
}
