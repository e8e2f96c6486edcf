import { useState } from 'react';
import { DialogForm } from '../../../ui';
import { useHere } from '../../session';
import { usePassage } from '../sheetApi';
import type { SheetState } from '../useSheet';

/** Makes a line out of the strongest words of a passage. */
export function PassageDialog({ sheet, onClose }: { sheet: SheetState; onClose: () => void }) {
  const passage = usePassage(useHere().id);
  const [text, setText] = useState('');
  const submit = () =>
    passage.mutate(text, {
      onSuccess: (line) => {
        if (line === '') return;
        sheet.add([{ kind: 'words', text: line }]);
        onClose();
      },
    });
  return (
    <DialogForm
      title="Search with a passage"
      act="Make a line of it"
      disabled={text.trim() === '' || passage.isPending}
      error={passage.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <label className="mt-2 block">
        <span className="small-head">An abstract, a paragraph, a question in plain words</span>
        <textarea
          autoFocus
          rows={8}
          maxLength={20_000}
          className="field block w-full font-serif"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {passage.data === '' && (
        <p role="alert" className="mt-2 text-soft">
          None of its words says anything here: they are in no publication, or in nearly all.
        </p>
      )}
    </DialogForm>
  );
}
