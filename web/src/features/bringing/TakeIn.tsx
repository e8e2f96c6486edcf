import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted, useAddress } from '../../ui';
import { FolderChoice, useChosenFolder } from '../keeping';
import { useHere } from '../session';
import { useBringing } from './api';

/**
 * Into which folder what is decided goes; nothing where all of it was taken. The button stays the
 * same and in its place while decisions are counted: one may be pressing it.
 */
export function TakeIn({ brought }: { brought: Schema['BroughtShown'] }) {
  const here = useHere();
  const address = useAddress();
  const choice = useChosenFolder(here.id);
  const { take } = useBringing(here.id, brought.id);
  const { counts, folder, state } = brought;
  const [pressed, setPressed] = useState('');
  const ready = counts.ready + (state === 'returned' ? counts.returned : 0);
  const wanted = address.params.get('into');
  const known = choice.folders.some(({ id }) => id === wanted) ? wanted : null;
  const into = folder?.id ?? known ?? choice.chosen;
  const choose = (id: string) => {
    choice.choose(id);
    address.change('into', id, { replace: true });
  };
  const now = `${state} ${ready}`;
  if (ready === 0 && counts.undecided === 0) return null;
  return (
    <section aria-label="Take in" className="mt-3 max-w-[46rem] border-y border-base-300 py-3">
      {ready > 0 && (
        <>
          {!folder && <FolderChoice group={here.id} {...choice} chosen={into} choose={choose} />}
          <p className="mt-2">
            <Act
              main
              disabled={!into || take.isPending || pressed === now}
              onClick={() => {
                setPressed(now);
                take.mutate(into, { onError: () => setPressed('') });
              }}
            >
              {`Take ${counted(ready, 'entry', 'entries')} in${folder ? `to ${folder.name}` : ''}`}
            </Act>
          </p>
        </>
      )}
      {counts.undecided > 0 && (
        <p className="mt-2">
          {counted(counts.undecided, 'entry is', 'entries are')} doubtful: like something that is
          here, and not surely the same. They wait until you have decided; the others can go on.
        </p>
      )}
      {take.error && (
        <p role="alert" className="mt-1 text-error">
          {take.error.message}
        </p>
      )}
    </section>
  );
}
