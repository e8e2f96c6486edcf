import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { leaving, ListPane, TwoPanes, useCopyLink, useKeys, useNotice, usePlace } from '../../ui';
import { KeepDialog } from '../keeping';
import { useAhead, useLeaf, useMark, useMarkKeys, type MarkWord } from '../publication';
import { mayWrite, useHere } from '../session';
import { ArrivalLeaf } from './ArrivalLeaf';
import { ArrivalRow } from './ArrivalRow';
import { isToReview, nameOf, waitsFor, type Entry } from './occasions';

/** Leaves that are fetched before one comes to them. */
const AHEAD = 8;

/**
 * Arrivals beside the leaf of one of them. A mark goes on to the next one that waits.
 *
 * @param kept what the address keeps while another one is chosen
 * @param goesOn whether it goes on to the next one where none waits
 * @param onSight told how far down was looked
 */
export function ArrivalsPane({
  label,
  entries,
  kept = {},
  goesOn = false,
  below,
  onSaid,
  onSight,
}: {
  label: string;
  entries: readonly Entry[];
  kept?: Record<string, string>;
  goesOn?: boolean;
  /** What stands in the row of one below its facts. */
  below?: (entry: Entry) => ReactNode;
  onSaid?: (entry: Entry, word: MarkWord) => void;
  onSight?: (last: number) => void;
}) {
  const here = useHere();
  const me = here.me.id;
  const [params, setParams] = useSearchParams();
  const [reason, setReason] = useState('');
  const [focusOn, setFocusOn] = useState(0);
  const [keeping, setKeeping] = useState('');
  const mark = useMark(here);
  const copy = useCopyLink();
  const tell = useNotice();
  const wanted = params.get('p');
  const first = entries.findIndex(({ arrival }) => waitsFor(arrival, me));
  const at = entries.findIndex((entry) => nameOf(entry) === wanted);
  const chosen = wanted && at >= 0 ? at : Math.max(0, first);
  const entry = entries[chosen];
  const leaf = useLeaf(here.id, entry?.arrival.publication.id ?? '', null);
  useAhead(
    here.id,
    entries.slice(chosen + 1, chosen + 1 + AHEAD).map(({ arrival }) => arrival.publication.id),
  );
  // What is pressed next, and typed then, is meant for this one.
  const choose = (index: number) => {
    const to = entries[index];
    setParams({ ...kept, p: to ? nameOf(to) : '' }, { replace: true, flushSync: true });
  };
  const place = usePlace(chosen, entries.length, choose);
  const next = place.step;
  const writes = mayWrite(here) && entries.length > 0;
  const say = (word: MarkWord) => {
    const now = place.now();
    const marked = entries[now];
    if (!writes || !marked) return;
    if (!isToReview(marked.arrival)) {
      tell({ text: 'Nothing was marked: this is only told.' });
      return;
    }
    if (word === 'keep' && !marked.round) {
      setKeeping(marked.arrival.publication.id);
      return;
    }
    mark(
      {
        publications: [marked.arrival.id],
        mark: word,
        reason,
        ...(marked.round && { round: marked.round.id }),
      },
      marked.arrival.publication.title,
    );
    onSaid?.(marked, word);
    setReason('');
    const unlit = entries.findIndex(({ arrival }, i) => i > now && waitsFor(arrival, me));
    const to = unlit < 0 && goesOn && now + 1 < entries.length ? now + 1 : unlit;
    if (to >= 0) {
      place.go(to);
      setFocusOn((n) => n + 1);
    }
  };
  useMarkKeys({
    may: writes,
    current: () => {
      const now = entries[place.now()];
      return now ? nameOf(now) : '';
    },
    reached: () => true,
    onMark: say,
  });
  const link = () => leaf.data && copy(leaf.data.stableLink);
  useKeys({
    l: link,
    n: () => document.getElementById('reason')?.focus(),
    j: () => next(1),
    k: () => next(-1),
  });
  return (
    <>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={() => setParams(kept, { replace: true })}
        list={
          <div
            className="h-full"
            {...leaving(
              entries.map(({ arrival }) => arrival.publication.id),
              place.go,
            )}
          >
            <ListPane
              label={label}
              count={entries.length}
              chosen={chosen}
              onStep={next}
              focusOn={focusOn}
              {...(onSight && { onSight })}
            >
              {(index) => {
                const one = entries[index];
                return (
                  one && (
                    <ArrivalRow
                      arrival={one.arrival}
                      group={here}
                      quiet={!waitsFor(one.arrival, me)}
                      below={below?.(one)}
                      onChoose={() => place.go(index)}
                    />
                  )
                );
              }}
            </ListPane>
          </div>
        }
        leaf={
          entry && (
            <ArrivalLeaf
              // The former one's leaf is no leaf of this one.
              leaf={leaf.isPlaceholderData ? undefined : leaf.data}
              entry={entry}
              group={here}
              reason={reason}
              onReason={setReason}
              onMark={say}
              onLink={link}
            />
          )
        }
      />
      {keeping && (
        <KeepDialog group={here.id} publications={[keeping]} onClose={() => setKeeping('')} />
      )}
    </>
  );
}
