import { useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { PublicationList } from '../list';
import { mayWrite, useHere } from '../session';
import { useItems } from './api';
import { ByHand } from './ByHand';
import { useFolderChanges } from './changes';
import { KeptHere, WhoKept } from './KeptHere';
import { MoveDialog } from './MoveDialog';

/** What goes into another folder, and what is done once it went. */
type Moving = { publications: string[]; onMoved: () => void };

/** What is kept in a folder, as a list with the leaf. */
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
  const { ids } = folder;
  const items = useItems(here.id, folder);
  const { takeOut } = useFolderChanges(here.id, folder.id);
  const [moving, setMoving] = useState<Moving | null>(null);
  const writes = mayWrite(here);
  const changes = writes && folder.may === 'edit';
  const acts = (publications: string[], onGone: () => void) =>
    writes && (
      <>
        <Act onClick={() => setMoving({ publications, onMoved: onGone })}>
          {changes ? 'Move or copy' : 'Copy'}
        </Act>
        {changes && (
          <Act
            disabled={takeOut.isPending}
            onClick={() => takeOut.mutate(publications, { onSuccess: onGone })}
          >
            Take out
          </Act>
        )}
      </>
    );
  return (
    <>
      <PublicationList
        label="Publications kept"
        ids={ids}
        row={items.row}
        onSight={items.showTo}
        fresh={fresh}
        said={(index) => <WhoKept item={items.row(index)} />}
        more={(index) => (
          <>
            {byHand && changes && <ByHand folder={folder} at={index} />}
            {acts([ids[index] ?? ''], () => {})}
          </>
        )}
        tickedMore={acts}
        belowActs={(index) => {
          const item = items.row(index);
          return item && <KeptHere key={item.publication.id} folder={folder} item={item} />;
        }}
      />
      {moving && <MoveDialog folder={folder} {...moving} onClose={() => setMoving(null)} />}
    </>
  );
}
