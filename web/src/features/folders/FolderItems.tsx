import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, leaving, ListPane, TwoPanes, useCopyLink, useKeys } from '../../ui';
import { ListRow, Ticked, useListActs } from '../list';
import { Leaf, useLeaf } from '../publication';
import { mayWrite, useHere } from '../session';
import { useItems } from './api';
import { useFolderChanges } from './changes';
import { KeptHere, WhoKept } from './KeptHere';
import { ByHand } from './ByHand';
import { MoveDialog } from './MoveDialog';

/** What is kept in a folder, with the leaf of what is chosen. The choice stands in the address. */
export function FolderItems({
  folder,
  fresh,
  byHand,
}: {
  folder: Schema['FolderView'];
  /** Whether these are the items in the order that is asked for. */
  fresh: boolean;
  /** Whether they stand as members put them, so that they can be put elsewhere. */
  byHand: boolean;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { ids } = folder;
  const items = useItems(here.id, folder);
  const wanted = params.get('p');
  const chosen = Math.max(0, wanted ? ids.indexOf(wanted) : 0);
  const id = ids[chosen] ?? '';
  const leaf = useLeaf(here.id, id, null).data;
  const copy = useCopyLink();
  const { takeOut } = useFolderChanges(here.id, folder.id);
  const [peeking, setPeeking] = useState(false);
  const [moving, setMoving] = useState<string[] | null>(null);
  const show = (which: string | undefined) =>
    setParams(
      (now) => {
        if (which) now.set('p', which);
        else now.delete('p');
        return now;
      },
      { replace: true },
    );
  const acts = useListActs({
    ids,
    chosen,
    named: wanted,
    onChoose: (index) => show(ids[index]),
  });
  const { place, ticked, tick, untick, inList } = acts;
  const link = () => leaf && copy(leaf.stableLink);
  const peek = () => setPeeking((now) => !now);
  const drop = (which: string[]) => takeOut.mutate(which, { onSuccess: () => untick(which) });
  useKeys({
    l: () => link(),
    j: () => place.step(1),
    k: () => place.step(-1),
    p: peek,
    x: acts.tickNow,
  });
  const item = items.row(chosen);
  const writes = mayWrite(here);
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
                  records={`/api/groups/${here.id}/records.ris?${new URLSearchParams(inList.map((one) => ['id', one])).toString()}`}
                  more={
                    writes && (
                      <>
                        <Act onClick={() => setMoving(inList)}>Move or copy</Act>
                        <Act disabled={takeOut.isPending} onClick={() => drop(inList)}>
                          Take out
                        </Act>
                      </>
                    )
                  }
                  onSay={acts.say}
                  onNote={acts.withNote}
                  onUntick={() => untick(inList)}
                  onUntickElsewhere={() => untick([...ticked].filter((t) => !ids.includes(t)))}
                />
              )}
            </div>
            <ListPane
              label="Publications kept"
              count={ids.length}
              chosen={chosen}
              onStep={place.step}
              onSight={items.showTo}
              ready={fresh}
              focusOn={0}
            >
              {(index) => (
                <ListRow
                  item={items.row(index)}
                  said={<WhoKept item={items.row(index)} />}
                  more={
                    writes && (
                      <>
                        {byHand && <ByHand folder={folder} at={index} />}
                        <Act onClick={() => setMoving([id])}>Move or copy</Act>
                        <Act disabled={takeOut.isPending} onClick={() => drop([id])}>
                          Take out
                        </Act>
                      </>
                    )
                  }
                  group={here.id}
                  guest={!writes}
                  step={undefined}
                  chosen={index === chosen}
                  ticked={ticked.has(ids[index] ?? '')}
                  peek={peeking && index === chosen ? leaf : undefined}
                  peeking={peeking && index === chosen}
                  onPeek={peek}
                  onKeep={undefined}
                  onLink={link}
                  onTick={() => tick(ids[index] ?? '')}
                  onChoose={() => place.go(index)}
                />
              )}
            </ListPane>
          </div>
        }
        leaf={
          leaf && (
            <Leaf
              leaf={leaf}
              acts={
                <>
                  <div className="mt-2 flex flex-wrap gap-x-4">
                    {acts.acts}
                    <Act hint="l" onClick={link}>
                      Stable link
                    </Act>
                    <Act hint="j" disabled={chosen >= ids.length - 1} onClick={() => place.step(1)}>
                      Next
                    </Act>
                    <Act hint="k" disabled={chosen === 0} onClick={() => place.step(-1)}>
                      Former
                    </Act>
                  </div>
                  {item && <KeptHere key={id} folder={folder} item={item} />}
                </>
              }
            />
          )
        }
      />
      {acts.dialog}
      {moving && (
        <MoveDialog
          folder={folder}
          publications={moving}
          onMoved={() => untick(moving)}
          onClose={() => setMoving(null)}
        />
      )}
    </>
  );
}
