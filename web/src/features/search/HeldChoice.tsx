import { useState } from 'react';
import type { Schema } from '../../api';
import { counted, shortDay, Waiting } from '../../ui';
import { useHere } from '../session';
import { shortText } from '../strategy';
import { useHoldables } from './sheetApi';
import { useDelayed } from './useDelayed';

/** Milliseconds after which what was typed is looked up. */
const LOOKED_UP_AFTER = 150;

/** Saved searches and steps to choose from: the latest, and all others by their words. */
export function HeldChoice({
  chosen,
  many,
  onChoose,
}: {
  chosen: readonly string[];
  /** Whether several can be chosen. */
  many: boolean;
  onChoose: (name: string) => void;
}) {
  const here = useHere();
  const [words, setWords] = useState('');
  const known = useHoldables(here.id, useDelayed(words, LOOKED_UP_AFTER)).data;
  const parts = known
    ? [
        { name: 'Saved searches', all: known.saved, more: known.moreSaved },
        { name: 'Your trail', all: known.steps, more: known.moreSteps },
      ].filter(({ all }) => all.length > 0)
    : [];
  return (
    <>
      <label className="mt-2 block">
        <span className="sr-only">Words of a search</span>
        <input
          className="field w-full"
          placeholder="words of its name or lines"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      <div className="mt-1 max-h-[50vh] min-h-[8rem] overflow-y-auto">
        {!known && <Waiting what="the searches" />}
        {known && parts.length === 0 && (
          <p className="mt-2 text-soft">
            {words ? 'No search has these words.' : 'There is no search to choose yet.'}
          </p>
        )}
        {parts.map(({ name, all, more }) => (
          <fieldset key={name}>
            <legend className="small-head mt-2">{name}</legend>
            {all.map((held) => (
              <Choice
                key={held.name}
                held={held}
                many={many}
                chosen={chosen.includes(held.name)}
                onChoose={onChoose}
              />
            ))}
            {more && (
              <p className="text-[13px] text-soft">
                These are the latest; type a word to find others.
              </p>
            )}
          </fieldset>
        ))}
      </div>
    </>
  );
}

function Choice({
  held,
  many,
  chosen,
  onChoose,
}: {
  held: Schema['Holdable'];
  many: boolean;
  chosen: boolean;
  onChoose: (name: string) => void;
}) {
  return (
    <label className="flex min-h-[26px] items-baseline gap-2">
      <input
        type={many ? 'checkbox' : 'radio'}
        checked={chosen}
        onChange={() => onChoose(held.name)}
      />
      <span className="min-w-0 flex-1 truncate font-serif">
        {held.title || shortText(held.strategy)}
      </span>
      <span className="text-[13px] text-soft">
        {counted(held.count, 'publication')} on {shortDay(held.at)}
      </span>
    </label>
  );
}
