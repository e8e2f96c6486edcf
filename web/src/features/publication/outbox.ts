import { hasEnded, isOutOfReach, newCommand, type Schema } from '../../api';
import { KeptMarks } from './kept';
import type { MarkWord } from './marks';

/** A mark on one publication or several, as one act. */
export type MarkMade = {
  publications: string[];
  mark: MarkWord;
  reason: string;
  round?: string;
};

/** What a member said, as lists show it. */
export type Said = Pick<MarkMade, 'mark' | 'reason'>;

/** A mark that the server has not answered yet. `title`: of what is marked, for people. */
export type Unsent = { command: string; made: MarkMade; title: string };

/** What is told while marks go out. */
export type Told = {
  /** It waits, for the server cannot be reached. */
  waits: (one: Unsent) => void;
  /** The server has it. `late`: it had to wait. */
  sent: (one: Unsent, answer: Schema['Marked'], late: boolean) => Promise<void>;
  /** The server does not want it; it is not sent again. */
  refused: (one: Unsent, why: Error) => void;
  /** The visit has ended before these. */
  ended: (those: Unsent[]) => void;
};

/** Milliseconds until it is tried again, at first and at most. */
const FIRST_TRY = 2_000;
const LAST_TRY = 30_000;

/** Milliseconds after which a window sends what another one made: that one may be closed. */
const LEFT_BEHIND = 10_000;

/**
 * Marks of a member on their way to the server: kept in this browser from the moment at which they
 * are made, sent one after the other in that order, and tried again for as long as the server
 * cannot be reached; a reload or another window goes on with them. Each has the name of its command
 * from the start, so that the server takes it once however often it is sent.
 */
export class Outbox {
  private readonly place: string;
  private readonly kept: KeptMarks;
  private readonly listeners = new Set<() => void>();
  /** Answered; shown until what lists show has followed. */
  private readonly answered = new Map<string, Unsent>();
  /** Commands that were tried and had to wait. */
  private readonly waited = new Set<string>();
  private underWay = '';
  private pumping: Promise<void> | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private pause = FIRST_TRY;
  private shown: ReadonlyMap<string, Said> = new Map();
  private stuck = 0;

  constructor(group: string, member: string) {
    this.place = `lantern.mark ${group} ${member} `;
    this.kept = new KeptMarks(this.place);
    this.change();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    const other = ({ key }: StorageEvent) => {
      if (!this.kept.owns(key)) return;
      this.kept.read();
      this.change();
    };
    this.listeners.add(listener);
    window.addEventListener('storage', other);
    return () => {
      this.listeners.delete(listener);
      window.removeEventListener('storage', other);
    };
  };

  /** What the member said of publications, by name, where lists may not know it yet. */
  readonly said = (): ReadonlyMap<string, Said> => this.shown;

  /** How many wait because the server cannot be reached. */
  readonly waiting = (): number => this.stuck;

  add(made: MarkMade, title: string): string {
    const command = newCommand();
    this.kept.add(command, made, title);
    this.change();
    return command;
  }

  /** Takes one back that was not sent yet. False: it is on its way, or was sent. */
  takeBack(command: string): boolean {
    return this.underWay !== command && this.remove(command);
  }

  /** Once nothing is on its way. */
  async settled(): Promise<void> {
    await this.pumping;
  }

  /** Sends what there is. `post` sends one, and answers what the server said. */
  pump(post: (one: Unsent) => Promise<Schema['Marked']>, told: Told): void {
    clearTimeout(this.timer);
    this.pumping ??= this.alone(() => this.sendAll(post, told)).finally(() => {
      this.pumping = undefined;
      if (this.kept.all().length === 0) return;
      this.timer = setTimeout(() => this.pump(post, told), this.pause);
      this.pause = Math.min(LAST_TRY, this.pause * 2);
    });
  }

  /** One window of the browser at a time, where it can say so. */
  private async alone(send: () => Promise<void>): Promise<void> {
    if ('locks' in navigator) await navigator.locks.request(this.place, send);
    else await send();
  }

  private async sendAll(post: (one: Unsent) => Promise<Schema['Marked']>, told: Told) {
    this.kept.read();
    for (let one = this.next(); one; one = this.next()) {
      this.underWay = one.command;
      const goesOn = await post(one)
        .then((answer) => this.sent(one, answer, told))
        .catch((error: Error) => this.failed(one, error, told));
      this.underWay = '';
      if (!goesOn) return;
    }
  }

  private next(): Unsent | undefined {
    return this.kept.first(LEFT_BEHIND);
  }

  private sent(one: Unsent, answer: Schema['Marked'], told: Told): boolean {
    const late = this.waited.has(one.command);
    this.answered.set(one.command, one);
    this.remove(one.command);
    this.pause = FIRST_TRY;
    void told.sent(one, answer, late).finally(() => {
      this.answered.delete(one.command);
      this.change();
    });
    return true;
  }

  /** Whether the next one may be sent. */
  private failed(one: Unsent, why: Error, told: Told): boolean {
    const all = this.kept.all();
    if (isOutOfReach(why)) {
      const fresh = all.filter(({ command }) => !this.waited.has(command));
      fresh.forEach(({ command }) => this.waited.add(command));
      this.change();
      fresh.forEach(told.waits);
      return false;
    }
    if (hasEnded(why)) {
      told.ended(all);
      all.forEach(({ command }) => this.remove(command));
      return false;
    }
    this.remove(one.command);
    told.refused(one, why);
    return true;
  }

  private remove(command: string): boolean {
    const removed = this.kept.remove(command);
    this.waited.delete(command);
    this.change();
    return removed;
  }

  private change(): void {
    const said = new Map<string, Said>();
    [...this.answered.values(), ...this.kept.all()].forEach(({ made }) =>
      made.publications.forEach((id) => said.set(id, made)),
    );
    this.shown = said;
    this.stuck = this.kept.all().filter(({ command }) => this.waited.has(command)).length;
    this.listeners.forEach((listener) => listener());
  }
}

const ALL = new Map<string, Outbox>();

/** The one of a member of a group in this window. */
export function outboxOf(group: string, member: string): Outbox {
  const name = `${group} ${member}`;
  const known = ALL.get(name) ?? new Outbox(group, member);
  ALL.set(name, known);
  return known;
}
