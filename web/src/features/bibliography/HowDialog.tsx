import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm } from '../../ui';
import { LanguageField, StyleField } from '../citing';
import { useHere } from '../session';
import { useSetBibliography, type Tried } from './api';

/**
 * In which style, language and order a bibliography stands: for everybody, where one may change the
 * folder; else for whoever looks.
 */
export function HowDialog({
  bibliography,
  sets,
  onTry,
  onClose,
}: {
  bibliography: Schema['BibliographyShown'];
  /** Whether it is set for everybody. */
  sets: boolean;
  onTry: (tried: Tried) => void;
  onClose: () => void;
}) {
  const here = useHere();
  const set = useSetBibliography(here.id, bibliography.folder);
  const [style, setStyle] = useState(bibliography.style);
  const [groups, setGroups] = useState(!bibliography.ownStyle);
  const [language, setLanguage] = useState(bibliography.language);
  const [byHand, setByHand] = useState(bibliography.byHand);
  const submit = () => {
    if (!sets) {
      onTry({ style: style.name, language });
      onClose();
      return;
    }
    set.mutate(
      { style: groups ? '' : style.name, language: groups ? '' : language, byHand },
      {
        onSuccess: () => {
          onTry({ style: '', language: '' });
          onClose();
        },
      },
    );
  };
  return (
    <DialogForm
      title="Style and order"
      act={sets ? 'Set it for everybody' : 'Show it so'}
      disabled={set.isPending}
      error={set.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {sets && (
        <label className="mt-3 flex min-h-[28px] items-center gap-2">
          <input
            type="checkbox"
            checked={groups}
            onChange={(event) => setGroups(event.target.checked)}
          />
          In the style of the group, whichever that is
        </label>
      )}
      {!(sets && groups) && (
        <>
          <div className="mt-3">
            <StyleField chosen={style} onChoose={setStyle} />
          </div>
          <LanguageField value={language} onChange={setLanguage} />
        </>
      )}
      {sets && (
        <fieldset className="mt-3">
          <legend className="small-head">Order</legend>
          {(
            [
              [false, 'that of the style'],
              [true, 'by hand, as the items of the folder stand'],
            ] as const
          ).map(([value, words]) => (
            <label key={words} className="flex min-h-[28px] items-center gap-2">
              <input
                type="radio"
                name="order"
                checked={byHand === value}
                onChange={() => setByHand(value)}
              />
              {words}
            </label>
          ))}
        </fieldset>
      )}
    </DialogForm>
  );
}
