import type { Schema } from '../../api';
import { lampOf, type Said } from '../publication';

type Arrival = Schema['ArrivalShown'];

/** An arrival, and the round in which it is looked at, if it stands in one. */
export type Entry = { arrival: Arrival; round?: Schema['InRound'] };

/** How an arrival is named in an address. */
export function nameOf({ arrival }: Entry): string {
  return arrival.id;
}

/** What happened to a work that comes again: in a row, and as the rest of a sentence. */
const AGAIN: Record<string, { short: string; said: string }> = {
  retracted: { short: 'retracted', said: 'was retracted' },
  corrected: { short: 'corrected', said: 'was corrected' },
  concern: { short: 'a concern was published', said: 'has an expression of concern' },
  final: { short: 'appeared in its final version', said: 'appeared in its final version' },
  opened: { short: 'open to all now', said: 'can be read by everybody now' },
  withdrawn: { short: 'taken back by its source', said: 'was taken back by its source' },
};

/** In which way an arrival is new, or what happened to it since. */
export function comesAs(arrival: Arrival): string {
  const as = AGAIN[arrival.newClass]?.short ?? arrival.newClass;
  if (!arrival.hereSince) return as;
  return comesAgain(arrival) ? `${as}, told by another alert before` : 'here since earlier';
}

export function comesAgain(arrival: Arrival): boolean {
  return arrival.occasion !== 'first coming';
}

/** What happened to it, as a sentence. */
export function whatHappened(arrival: Arrival): string {
  return `It ${AGAIN[arrival.occasion]?.said ?? 'changed'}.`;
}

/** Whether there is something to say of it; of the rest it is only told. */
export function isToReview(arrival: Arrival): boolean {
  return arrival.lamps.length > 0;
}

/** An arrival with what a member said of it, before the server has told so. */
export function afterSaid(arrival: Arrival, said: Said | undefined, me: string): Arrival {
  if (!said) return arrival;
  const lamps = arrival.lamps.map((lamp) =>
    lamp.member === me
      ? { ...lamp, lamp: lampOf(said.mark), mark: said.mark, reason: said.reason }
      : lamp,
  );
  return { ...arrival, lamps };
}

const TELLING = ['keep', 'pass', 'raise'];

/**
 * How many decide on it apart, as long as nobody reads what another said; else 0. It is opened when
 * others have said something that one can read.
 */
export function decidedApart({ arrival, round }: Entry, me: string): number {
  const opened = arrival.lamps.some(
    ({ member, mark }) => member !== me && mark && TELLING.includes(mark),
  );
  return round && !opened && isToReview(arrival) ? round.apart : 0;
}

/** Whether it waits for a member. */
export function waitsFor(arrival: Arrival, me: string): boolean {
  return (
    isToReview(arrival) &&
    !arrival.lamps.some(
      (lamp) => lamp.member === me && (lamp.lamp === 'lit' || lamp.lamp === 'rested'),
    )
  );
}
