import { useState } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, DialogForm, NameField } from '../../ui';
import { useFoldersToChange } from '../keeping';
import { useHere } from '../session';
import { useFolderChanges } from './changes';

type Whole = {
  folder: Schema['FolderView'];
  onThere: (folder: string) => void;
  onClose: () => void;
};

/** Puts everything of a folder into another one; the first is no more. */
export function MergeDialog({ folder, onThere, onClose }: Whole) {
  const here = useHere();
  const { merge } = useFolderChanges(here.id, folder.id);
  const others = useFoldersToChange(here.id).filter(
    (one) => !one.pile && one.id !== folder.id && one.closed === folder.closed,
  );
  const [chosen, setChosen] = useState('');
  const to = chosen || (others[0]?.id ?? '');
  return (
    <DialogForm
      title={`All of “${folder.name}” into another folder`}
      act="Put them together"
      disabled={!to || merge.isPending}
      error={merge.error}
      onSubmit={() => merge.mutate(to, { onSuccess: ({ answer }) => onThere(answer.into.id) })}
      onClose={onClose}
    >
      <ChoiceField label="Into" value={to} of={others} onChange={setChosen} />
      {others.length === 0 && <p className="text-soft">There is no other folder yet.</p>}
      <p className="mt-3 text-soft">
        Publications with what was said of them, searches, reports, the folders inside, and what
        alerts keep go along. What is in both stands once. “{folder.name}” is no more then; its
        address leads to the other.
      </p>
    </DialogForm>
  );
}

/** Turns the member's own pile over to the group. */
export function TurnOverDialog({ folder, onThere, onClose }: Whole) {
  const here = useHere();
  const { turnOver } = useFolderChanges(here.id, folder.id);
  const [name, setName] = useState('');
  return (
    <DialogForm
      title="Turn your pile over to the group"
      act="Turn it over"
      disabled={turnOver.isPending || !name.trim()}
      error={turnOver.error}
      onSubmit={() => turnOver.mutate(name, { onSuccess: ({ answer }) => onThere(answer.id) })}
      onClose={onClose}
    >
      <NameField value={name} onChange={setName} />
      <p className="mt-3 text-soft">
        All {folder.ids.length} publications go into a new folder of the group, with what you said
        of them. That is your verdict “keep”; your pile is empty then.
      </p>
    </DialogForm>
  );
}

/** Makes another folder with the same publications. */
export function CopyFolderDialog({ folder, onThere, onClose }: Whole) {
  const here = useHere();
  const { copy } = useFolderChanges(here.id, folder.id);
  const [name, setName] = useState(`${folder.name}, a copy`);
  return (
    <DialogForm
      title={`Copy “${folder.name}”`}
      act="Copy it"
      disabled={copy.isPending || !name.trim()}
      error={copy.error}
      onSubmit={() => copy.mutate(name, { onSuccess: ({ answer }) => onThere(answer.id) })}
      onClose={onClose}
    >
      <NameField value={name} onChange={setName} />
      <p className="mt-3 text-soft">
        Publications go along with what was said of them, in the same order; searches and reports
        stay where they are.
      </p>
    </DialogForm>
  );
}
