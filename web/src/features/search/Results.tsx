import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, ListPane, TwoPanes, useKeys, useStepping } from '../../ui';
import { KeepDialog } from '../folders';
import { Leaf, useCopyLink, useLeaf, useMark } from '../publication';
import { mayWrite, useHere } from '../session';
import type { Strategy } from '../strategy';
import { useRows } from './api';
import { Glance } from './Glance';
import { HitRow } from './HitRow';
import { MARKS } from './marks';
import { Ticked } from './Ticked';

/** The list, and the leaf of what is chosen in it. The choice stands in the address. */
export function Results({
  result,
  strategy,
  step,
  focus,
  q,
}: {
  result: Schema['SearchResult'];
  strategy: Strategy;
  step: string | undefined;
  focus: boolean;
  /** The address of the search, once it is settled. */
  q?: string | undefined;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { ids } = result.answer;
  const rows = useRows(here.id, strategy, ids, result.first);
  const wanted = params.get('p');
  const chosen = Math.max(0, wanted ? ids.indexOf(wanted) : 0);
  const id = ids[chosen] ?? '';
  const leaf = useLeaf(here.id, id, strategy);
  const mark = useMark(here.id);
  const copy = useCopyLink();
  const [keeping, setKeeping] = useState(false);
  const [afar, setAfar] = useState(false);
  const [peeking, setPeeking] = useState(false);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const choose = (index: number) =>
    setParams(
      (now) => {
        now.set('p', ids[index] ?? '');
        return now;
      },
      { replace: true, state: { step } },
    );
  const back = () =>
    setParams(
      (now) => {
        now.delete('p');
        return now;
      },
      { replace: true, state: { step } },
    );
  const tick = (which: string) =>
    setTicked((now) => {
      const next = new Set(now);
      if (!next.delete(which)) next.add(which);
      return next;
    });
  // What is ticked is meant; without ticks, what is chosen.
  const meant = ticked.size > 0 ? ids.filter((each) => ticked.has(each)) : id ? [id] : [];
  const writes = mayWrite(here) && id !== '';
  const keep = () => writes && setKeeping(true);
  const say = (word: string) => () => {
    if (writes) meant.forEach((each) => mark.mutate({ publication: each, mark: word, reason: '' }));
  };
  const link = () => leaf.data && copy(leaf.data.stableLink);
  const next = useStepping(chosen, ids.length, choose);
  useKeys({
    '1': keep,
    ...Object.fromEntries(MARKS.map(([key, word]) => [key, say(word)])),
    l: () => link(),
    j: () => next(1),
    k: () => next(-1),
    p: () => setPeeking((now) => !now),
    x: () => id && tick(id),
  });
  if (ids.length === 0) {
    return <div />;
  }
  const acts = (
    <div className="mt-2 flex flex-wrap gap-x-4">
      {writes && (
        <>
          <Act main hint="1" onClick={keep}>
            Keep
          </Act>
          {MARKS.map(([key, word, label]) => (
            <Act key={word} hint={key} onClick={say(word)}>
              {label}
            </Act>
          ))}
        </>
      )}
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
  );
  return (
    <>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={back}
        list={
          <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
            <div>
              {ticked.size > 0 && (
                <Ticked
                  many={ticked.size}
                  writes={writes}
                  onKeep={keep}
                  onSay={say}
                  onUntick={() => setTicked(new Set())}
                />
              )}
            </div>
            <ListPane
              label="Publications found"
              count={ids.length}
              chosen={chosen}
              onChoose={choose}
              onSight={rows.showTo}
              focusOn={focus ? 1 : 0}
            >
              {(index) => (
                <HitRow
                  hit={rows.row(index)}
                  group={here.id}
                  step={step}
                  chosen={index === chosen}
                  ticked={ticked.has(ids[index] ?? '')}
                  peek={peeking && index === chosen ? leaf.data : undefined}
                  peeking={peeking && index === chosen}
                  onPeek={() => setPeeking((now) => !now)}
                  onKeep={writes ? keep : undefined}
                  onTick={() => tick(ids[index] ?? '')}
                  onChoose={() => choose(index)}
                />
              )}
            </ListPane>
          </div>
        }
        leaf={
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
                acts={acts}
              />
            )}
          </>
        }
      />
      {keeping && (
        <KeepDialog
          group={here.id}
          publications={meant}
          {...(step ? { step } : {})}
          onClose={() => {
            setKeeping(false);
            setTicked(new Set());
          }}
        />
      )}
    </>
  );
}
