import { useState } from 'react';
import type { Schema } from '../../api';
import { useKeys, useNotice, type Place } from '../../ui';
import { useTicks } from '../list';
import { useMark, useMarkKeys, type MarkWord, type Said } from '../publication';
import { mayWrite } from '../session';
import { isToReview, nameOf, waitsFor, type Entry } from './occasions';

/** The most that the server marks as one act. */
const AT_ONCE = 500;

/**
 * What is said of arrivals: of those that are ticked, as one act a round, or of the chosen one. It
 * goes on to the next one that waits.
 *
 * @param goesOn whether it goes on to the next one where none waits
 */
export function useArrivalMarks({
  here,
  entries,
  place,
  goesOn,
  onSaid,
}: {
  here: Schema['GroupView'];
  entries: readonly Entry[];
  place: Place;
  goesOn: boolean;
  onSaid: ((entry: Entry, said: Said) => void) | undefined;
}) {
  const [reason, setReason] = useState('');
  const [focusOn, setFocusOn] = useState(0);
  const [keeping, setKeeping] = useState<string[]>([]);
  const { ticked, tick, untick } = useTicks(here.id, 'ticked arrivals');
  const mark = useMark(here);
  const tell = useNotice();
  const writes = mayWrite(here) && entries.length > 0;
  const inList = entries.filter((entry) => ticked.has(nameOf(entry)));
  const meant = () => {
    const now = entries[place.now()];
    return inList.length > 0 ? inList : now ? [now] : [];
  };
  const say = (word: MarkWord) => {
    if (!writes) return;
    const marked = meant().filter(({ arrival }) =>
      // What was decided on is not let rest with the others.
      word === 'rest' ? waitsFor(arrival, here.me.id) : isToReview(arrival),
    );
    if (marked.length === 0) {
      tell({
        text:
          word === 'rest'
            ? 'Nothing was let rest: you have said something of it.'
            : 'Nothing was marked: this is only told.',
      });
      return;
    }
    const homeless = word === 'keep' ? marked.filter(({ round }) => !round) : [];
    setKeeping(homeless.map(({ arrival }) => arrival.publication.id));
    const said = marked.filter((entry) => !homeless.includes(entry));
    if (said.length === 0) return;
    for (const some of asActs(said)) {
      const [first] = some;
      mark(
        {
          publications: some.map(nameOf),
          mark: word,
          reason,
          ...(first?.round && { round: first.round.id }),
        },
        some.length === 1 ? first?.arrival.publication.title : '',
      );
    }
    said.forEach((entry) => onSaid?.(entry, { mark: word, reason }));
    untick(said.map(nameOf));
    setReason('');
    goOn(said);
  };
  const goOn = (said: readonly Entry[]) => {
    const now = place.now();
    const next = entries.findIndex(
      (entry, i) => i > now && waitsFor(entry.arrival, here.me.id) && !said.includes(entry),
    );
    const to = next < 0 && goesOn && now + 1 < entries.length ? now + 1 : next;
    if (to < 0) return;
    place.go(to);
    setFocusOn((n) => n + 1);
  };
  useMarkKeys({
    may: writes,
    current: () => meant().map(nameOf).join(' '),
    reached: () => true,
    onMark: say,
  });
  const tickNow = () => {
    const now = entries[place.now()];
    if (now && isToReview(now.arrival)) tick(nameOf(now));
  };
  useKeys(writes ? { x: tickNow } : {});
  return {
    say,
    reason,
    setReason,
    focusOn,
    keeping,
    setKeeping,
    writes,
    inList,
    ticked,
    tick,
    untick,
  };
}

/** Those of each round together, no more at once than the server takes. */
function asActs(entries: readonly Entry[]): Entry[][] {
  const byRound = new Map<string, Entry[]>();
  for (const entry of entries) {
    const round = entry.round?.id ?? '';
    byRound.set(round, [...(byRound.get(round) ?? []), entry]);
  }
  return [...byRound.values()].flatMap((some) =>
    Array.from({ length: Math.ceil(some.length / AT_ONCE) }, (_, n) =>
      some.slice(n * AT_ONCE, (n + 1) * AT_ONCE),
    ),
  );
}
