import { useState } from 'react';
import { counted, DialogForm } from '../../ui';
import { shortText, type Strategy } from '../strategy';
import { useSaveSearch } from './api';
import { FolderChoice, useChosenFolder } from './FolderChoice';

/** Saves a search in a folder, with its count of now. */
export function SaveSearchDialog({
  group,
  strategy,
  count,
  onClose,
}: {
  group: string;
  strategy: Strategy;
  count: number;
  onClose: () => void;
}) {
  const choice = useChosenFolder(group, { everybodys: true });
  const [name, setName] = useState('');
  const save = useSaveSearch(group);
  const submit = () => {
    choice.choose(choice.chosen);
    save.mutate({ folder: choice.chosen, name, strategy }, { onSuccess: onClose });
  };
  return (
    <DialogForm
      title="Save search"
      act="Save"
      leave="Don’t save"
      disabled={!choice.chosen || save.isPending}
      error={save.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p className="mt-2">
        <span className="font-serif text-[16px]">{shortText(strategy)}</span>{' '}
        <span className="text-soft">finds {counted(count, 'publication')} now</span>
      </p>
      <label className="mt-3 block">
        <span className="small-head">Name</span>
        <input
          autoFocus
          required
          className="field block w-full"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <FolderChoice group={group} {...choice} />
    </DialogForm>
  );
}
