import { useState, type ReactNode } from 'react';
import { Act, useKeys, usePlace } from '../../ui';
import { KeepDialog, useKeep, useLastFolder } from '../keeping';
import { MarkActs, useMark, useMarkKeys, type MarkWord } from '../publication';
import { mayWrite, useHere } from '../session';
import { useTicks } from './useTicks';

/**
 * What can be said of what a list shows: of what is ticked in it; without ticks, of what is chosen.
 * A mark goes on to the next row.
 */
export function useListActs({
  ids,
  chosen,
  named,
  onChoose,
  step,
  onStep,
}: {
  ids: readonly string[];
  chosen: number;
  /** The publication that the address names. */
  named: string | null;
  onChoose: (index: number) => void;
  step?: string | undefined;
  /** The step of the trail that the list belongs to; it is made where there is none yet. */
  onStep?: () => Promise<{ step?: string | undefined } | null>;
}) {
  const here = useHere();
  const mark = useMark(here);
  const keep = useKeep(here.id);
  const folder = useLastFolder(here.id);
  const [keeping, setKeeping] = useState<{ ids: string[]; step: string | undefined } | null>(null);
  const ticks = useTicks(here.id);
  const place = usePlace(chosen, ids.length, onChoose, named);
  const writes = mayWrite(here) && ids.length > 0;
  const inList = ids.filter((each) => ticks.ticked.has(each));
  const meant = () => {
    const at = ids[place.now()];
    return inList.length > 0 ? inList : at ? [at] : [];
  };
  /** What is chosen at this moment, though the page may still show a row before it. */
  const tickNow = () => {
    const at = ids[place.now()];
    if (at) ticks.tick(at);
  };
  const keepIn = async (publications: string[], dialog: boolean) => {
    const made = step ?? (await onStep?.())?.step;
    if (dialog || !folder) setKeeping({ ids: publications, step: made });
    else keep.mutate({ folder, publications, note: '', ...(made ? { step: made } : {}) });
  };
  const withNote = () => void (writes && keepIn(meant(), true));
  const say = (word: MarkWord) => {
    const publications = meant();
    if (!writes || publications.length === 0) return;
    if (word === 'keep') void keepIn(publications, false);
    else mark({ publications, mark: word, reason: '' });
    // A dialog goes on once it is done.
    if (word === 'keep' && !folder) return;
    goOn(publications);
  };
  const goOn = (done: readonly string[]) => {
    if (inList.length > 0) ticks.untick(done);
    else if (ids[place.now()] === done[0] && place.now() < ids.length - 1) place.step(1);
  };
  useMarkKeys({
    may: writes,
    current: () => meant().join(' '),
    reached: () => inList.length > 0 || place.isMeant(),
    onMark: say,
  });
  useKeys({ n: withNote });
  const acts: ReactNode = writes && (
    <>
      <MarkActs main keys onMark={say} />
      <Act hint="n" onClick={withNote}>
        Keep with a note
      </Act>
    </>
  );
  const dialog: ReactNode = keeping && (
    <KeepDialog
      group={here.id}
      publications={keeping.ids}
      {...(keeping.step ? { step: keeping.step } : {})}
      onKept={() => goOn(keeping.ids)}
      onClose={() => setKeeping(null)}
    />
  );
  return { place, say, withNote, writes, inList, ...ticks, tickNow, acts, dialog };
}
