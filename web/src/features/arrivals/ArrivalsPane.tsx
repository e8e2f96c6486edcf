import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { leaving, ListPane, TwoPanes, useCopyLink, useKeys, usePlace } from '../../ui';
import { KeepDialog } from '../keeping';
import { useAhead, useLeaf, type Said } from '../publication';
import { useHere } from '../session';
import { ArrivalLeaf } from './ArrivalLeaf';
import { ArrivalRow } from './ArrivalRow';
import { isToReview, nameOf, waitsFor, type Entry } from './occasions';
import { TickedArrivals } from './TickedArrivals';
import { useArrivalMarks } from './useArrivalMarks';

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
  onSaid?: (entry: Entry, said: Said) => void;
  onSight?: (last: number) => void;
}) {
  const here = useHere();
  const me = here.me.id;
  const [params, setParams] = useSearchParams();
  const copy = useCopyLink();
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
  const marks = useArrivalMarks({ here, entries, place, goesOn, onSaid });
  const link = () => leaf.data && copy(leaf.data.stableLink);
  useKeys({
    l: link,
    n: () =>
      document.getElementById(marks.inList.length > 0 ? 'reason-for-all' : 'reason')?.focus(),
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
            className="grid h-full grid-rows-[auto_minmax(0,1fr)]"
            {...leaving(
              entries.map(({ arrival }) => arrival.publication.id),
              place.go,
            )}
          >
            <div>
              {marks.writes && (
                <TickedArrivals
                  group={here}
                  here={marks.inList.length}
                  reason={marks.reason}
                  onReason={marks.setReason}
                  onSay={marks.say}
                  onUntick={() => marks.untick(marks.inList.map(nameOf))}
                />
              )}
            </div>
            <ListPane
              label={label}
              count={entries.length}
              chosen={chosen}
              onStep={next}
              focusOn={marks.focusOn}
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
                      ticked={marks.ticked.has(nameOf(one))}
                      onTick={
                        marks.writes && isToReview(one.arrival)
                          ? () => marks.tick(nameOf(one))
                          : undefined
                      }
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
              trouble={leaf.error?.message ?? ''}
              entry={entry}
              group={here}
              reason={marks.reason}
              onReason={marks.setReason}
              ticked={marks.inList.length}
              onMark={marks.say}
              onLink={link}
            />
          )
        }
      />
      {marks.keeping.length > 0 && (
        <KeepDialog
          group={here.id}
          publications={marks.keeping}
          onClose={() => marks.setKeeping([])}
        />
      )}
    </>
  );
}
