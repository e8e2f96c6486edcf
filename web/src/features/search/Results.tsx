import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Act, leaving, ListPane, TwoPanes, useCopyLink, useKeys } from '../../ui';
import { ListRow, Ticked, useListActs } from '../list';
import { Leaf, useLeaf } from '../publication';
import { mayWrite, useHere } from '../session';
import type { Strategy } from '../strategy';
import { useRows, type Result } from './api';
import { Glance } from './Glance';
import type { Step } from './useSettled';

/** The list, and the leaf of what is chosen in it. The choice stands in the address. */
export function Results({
  result,
  strategy,
  fresh,
  ahead,
  onAhead,
  step,
  q,
  onStep,
}: {
  result: Result;
  strategy: Strategy;
  /** Whether this is the list for what stands on the sheet. */
  fresh: boolean;
  /** Steps that were pressed before the list was there; told once they are taken. */
  ahead: number;
  onAhead: () => void;
  step: string | undefined;
  /** The address of the search, once it is settled. */
  q?: string | undefined;
  onStep: () => Promise<Step | null>;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { ids } = result.answer;
  const rows = useRows(here.id, strategy, ids, result.first);
  const wanted = params.get('p');
  const chosen = Math.max(0, wanted ? ids.indexOf(wanted) : 0);
  const id = ids[chosen] ?? '';
  const leaf = useLeaf(here.id, id, strategy);
  const copy = useCopyLink();
  const [afar, setAfar] = useState(false);
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
    onStep,
  });
  const { place, ticked, tick, untick, inList } = acts;
  const next = place.step;
  useEffect(() => {
    if (!fresh || ahead === 0 || ids.length === 0) return;
    next(ahead);
    onAhead();
  });
  const link = () => leaf.data && copy(leaf.data.stableLink);
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
                  records={`/api/groups/${here.id}/records.ris?${ris(inList)}`}
                  onSay={acts.say}
                  onNote={acts.withNote}
                  onUntick={() => untick(inList)}
                  onUntickElsewhere={() => untick([...ticked].filter((t) => !ids.includes(t)))}
                />
              )}
            </div>
            <ListPane
              label="Publications found"
              count={ids.length}
              chosen={chosen}
              onStep={next}
              onSight={rows.showTo}
              ready={fresh}
              focusOn={0}
            >
              {(index) => (
                <ListRow
                  item={rows.row(index)}
                  group={here.id}
                  guest={!mayWrite(here)}
                  step={step}
                  chosen={index === chosen}
                  ticked={ticked.has(ids[index] ?? '')}
                  peek={peeking && index === chosen ? leaf.data : undefined}
                  peeking={peeking && index === chosen}
                  onPeek={peek}
                  onKeep={acts.writes ? () => acts.say('keep') : undefined}
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
              <p className="mb-1">
                <Act aria-expanded={afar} onClick={() => setAfar((now) => !now)}>
                  The field at a glance
                </Act>
              </p>
              {afar && <Glance strategy={strategy} q={q} />}
              {leaf.data && (
                <Leaf
                  leaf={leaf.data}
                  lineNumber={(line) => strategy.lines.findIndex((l) => l.id === line) + 1}
                  acts={
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
                  }
                />
              )}
            </>
          )
        }
      />
      {acts.dialog}
    </>
  );
}

function ris(ids: readonly string[]): string {
  return new URLSearchParams(ids.map((id) => ['id', id])).toString();
}
