import { useState } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, counted, DialogForm } from '../../ui';
import { useFoldersToChange } from '../keeping';
import { useHere } from '../session';
import { useFolderChanges } from './changes';

/** Puts publications into another folder, or into another one as well, with what was said of them. */
export function MoveDialog({
  folder,
  publications,
  onMoved,
  onClose,
}: {
  folder: Schema['FolderView'];
  publications: string[];
  onMoved: () => void;
  onClose: () => void;
}) {
  const here = useHere();
  const { move } = useFolderChanges(here.id, folder.id);
  const others = useFoldersToChange(here.id).filter((one) => one.id !== folder.id);
  const [chosen, setChosen] = useState('');
  // What may only be read stays.
  const stays = folder.may !== 'edit';
  const [copies, setCopies] = useState(stays);
  const to = chosen || (others[0]?.id ?? '');
  return (
    <DialogForm
      title={`Move or copy ${counted(publications.length, 'publication')}`}
      act={copies ? 'Copy' : 'Move'}
      disabled={!to || move.isPending}
      error={move.error}
      onSubmit={() =>
        move.mutate(
          { publications, to, copy: copies },
          {
            onSuccess: () => {
              onMoved();
              onClose();
            },
          },
        )
      }
      onClose={onClose}
    >
      <ChoiceField label="Into" value={to} of={others} onChange={setChosen} />
      {others.length === 0 && <p className="text-soft">There is no other folder yet.</p>}
      <label className="mt-3 block">
        <input
          type="checkbox"
          checked={copies}
          disabled={stays}
          onChange={(event) => setCopies(event.target.checked)}
        />{' '}
        it stays in {folder.name} too
      </label>
      <p className="mt-2 text-soft">What was said when it was kept goes along.</p>
    </DialogForm>
  );
}
