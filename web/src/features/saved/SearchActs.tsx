import { useState } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useSearchChanges } from './changes';
import { MoveSearchDialog } from './MoveSearchDialog';

/** Where a saved search stands and what it is called; and its end, which an undo takes back. */
export function SearchActs({
  search,
  onEnded,
}: {
  search: { id: string; name: string; folder: { id: string; name: string } };
  onEnded?: () => void;
}) {
  const here = useHere();
  const [moving, setMoving] = useState(false);
  const { end } = useSearchChanges(here.id, search.id);
  if (!mayWrite(here)) return null;
  return (
    <>
      <Act onClick={() => setMoving(true)}>Name and place</Act>
      <Act
        disabled={end.isPending}
        onClick={() => end.mutate(null, { onSuccess: () => onEnded?.() })}
      >
        End it
      </Act>
      {moving && <MoveSearchDialog search={search} onClose={() => setMoving(false)} />}
    </>
  );
}
