import { useEffect, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Act, leaving, ListPane, TwoPanes, useCopyLink, useKeys } from '../../ui';
import { CiteDialog } from '../citing';
import { LeaveActs } from '../export';
import { lampOf, Leaf, useJustSaid, useLeaf, type Said } from '../publication';
import { mayWrite, useHere } from '../session';
import type { Strategy } from '../strategy';
import { ListRow, type Item } from './ListRow';
import { Ticked } from './Ticked';
import { useListActs } from './useListActs';

/**
 * Publications in an order with the leaf of what is chosen beside them: ticks, keys, marks, and the
 * choice in the address, in every place that has such a list.
 */
export function PublicationList({
  label,
  ids,
  row,
  onSight,
  fresh,
  strategy = null,
  step,
  onStep,
  keeps = false,
  ahead = 0,
  onAhead,
  said,
  more,
  tickedMore,
  aboveLeaf,
  belowActs,
}: {
  label: string;
  ids: string[];
  /** What is in a row; undefined as long as it is not here. */
  row: (index: number) => Item | undefined;
  onSight: (last: number) => void;
  /** Whether these are the publications that were asked for last. */
  fresh: boolean;
  /** What they were found by. */
  strategy?: Strategy | null;
  step?: string | undefined;
  onStep?: () => Promise<{ step?: string | undefined } | null>;
  /** Whether a row can be kept from where it stands. */
  keeps?: boolean;
  /** Steps that were pressed before the list was there; told once they are taken. */
  ahead?: number;
  onAhead?: () => void;
  /** What is said of one in this list. */
  said?: (index: number) => ReactNode;
  /** What else this list can do with the chosen one, and with those that are ticked. */
  more?: (index: number) => ReactNode;
  tickedMore?: (ids: string[], untick: () => void) => ReactNode;
  aboveLeaf?: ReactNode;
  belowActs?: (index: number) => ReactNode;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const wanted = params.get('p');
  const chosen = Math.max(0, wanted ? ids.indexOf(wanted) : 0);
  const id = ids[chosen] ?? '';
  const leaf = useLeaf(here.id, id, strategy).data;
  const justSaid = useJustSaid(here);
  const copy = useCopyLink();
  const [citing, setCiting] = useState<string[] | null>(null);
  const [peeking, setPeeking] = useState(false);
  const show = (which: string | undefined) =>
    setParams(
      (now) => {
        if (which) now.set('p', which);
        else now.delete('p');
        return now;
      },
      { replace: true, state: { step } },
    );
  const acts = useListActs({
    ids,
    chosen,
    named: wanted,
    onChoose: (index) => show(ids[index]),
    step,
    ...(onStep ? { onStep } : {}),
  });
  const { place, ticked, tick, untick, inList } = acts;
  const next = place.step;
  useEffect(() => {
    if (!fresh || ahead === 0 || ids.length === 0) return;
    next(ahead);
    onAhead?.();
  });
  const link = () => leaf && copy(leaf.stableLink);
  const peek = () => setPeeking((now) => !now);
  useKeys({
    l: () => link(),
    j: () => next(1),
    k: () => next(-1),
    p: peek,
    x: acts.tickNow,
  });
  return (
    <>
      <TwoPanes
        label="Leaf"
        open={wanted !== null && id !== ''}
        onBack={() => show(undefined)}
        list={
          <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]" {...leaving(ids, place.go)}>
            <div>
              {ticked.size > 0 && (
                <Ticked
                  here={inList.length}
                  elsewhere={ticked.size - inList.length}
                  writes={acts.writes}
                  exports={
                    !here.me.onlyFolders && <LeaveActs of={() => ({ publications: inList })} />
                  }
                  more={tickedMore?.(inList, () => untick(inList))}
                  onSay={acts.say}
                  onCite={here.me.onlyFolders ? undefined : () => setCiting(inList)}
                  onNote={acts.withNote}
                  onUntick={() => untick(inList)}
                  onUntickElsewhere={() => untick([...ticked].filter((t) => !ids.includes(t)))}
                />
              )}
            </div>
            <ListPane
              label={label}
              count={ids.length}
              chosen={chosen}
              onStep={next}
              onSight={onSight}
              ready={fresh}
              focusOn={0}
            >
              {(index) => (
                <ListRow
                  item={saidOf(row(index), justSaid)}
                  said={said?.(index)}
                  more={more?.(index)}
                  group={here.id}
                  guest={!mayWrite(here)}
                  step={step}
                  chosen={index === chosen}
                  ticked={ticked.has(ids[index] ?? '')}
                  peek={peeking && index === chosen ? leaf : undefined}
                  peeking={peeking && index === chosen}
                  onPeek={peek}
                  onKeep={keeps && acts.writes ? () => acts.say('keep') : undefined}
                  onLink={link}
                  onTick={() => tick(ids[index] ?? '')}
                  onChoose={() => place.go(index)}
                />
              )}
            </ListPane>
          </div>
        }
        leaf={
          ids.length > 0 && (
            <>
              {aboveLeaf}
              {leaf && (
                <Leaf
                  leaf={leaf}
                  lineNumber={(line) => (strategy?.lines.findIndex((l) => l.id === line) ?? -1) + 1}
                  acts={
                    <>
                      <div className="mt-2 flex flex-wrap gap-x-4">
                        {acts.acts}
                        <Act hint="l" onClick={link}>
                          Stable link
                        </Act>
                        <Act hint="j" disabled={chosen >= ids.length - 1} onClick={() => next(1)}>
                          Next
                        </Act>
                        <Act hint="k" disabled={chosen === 0} onClick={() => next(-1)}>
                          Former
                        </Act>
                      </div>
                      {belowActs?.(chosen)}
                    </>
                  }
                />
              )}
            </>
          )
        }
      />
      {acts.dialog}
      {citing && <CiteDialog publications={citing} onClose={() => setCiting(null)} />}
    </>
  );
}

/** With the lamp as it will be, before the server has told so. */
function saidOf(item: Item | undefined, said: ReadonlyMap<string, Said>): Item | undefined {
  const last = item && said.get(item.publication.id);
  return item && last ? { ...item, lamp: lampOf(last.mark) } : item;
}
