import type { Schema } from '../../api';
import { Act } from '../../ui';
import { useHere } from '../session';
import { useFolderChanges } from './changes';

/** Puts an item elsewhere in the order by hand. */
export function ByHand({ folder, at }: { folder: Schema['FolderView']; at: number }) {
  const here = useHere();
  const { place } = useFolderChanges(here.id, folder.id);
  const { ids } = folder;
  const publication = ids[at] ?? '';
  const put = (before: string | undefined) => place.mutate({ publication, before: before ?? null });
  return (
    <>
      <Act disabled={at === 0 || place.isPending} onClick={() => put(ids[0])}>
        To the top
      </Act>
      <Act disabled={at === 0 || place.isPending} onClick={() => put(ids[at - 1])}>
        Up
      </Act>
      <Act disabled={at >= ids.length - 1 || place.isPending} onClick={() => put(ids[at + 2])}>
        Down
      </Act>
    </>
  );
}
