import { useId, useState, type KeyboardEvent } from 'react';
import { useHere } from '../../session';
import { useSuggestions } from '../sheetApi';
import type { Line } from '../../strategy';
import { useDelayed } from '../useDelayed';
import { insertion, wordAt } from '../suggested';
import { SuggestionList } from './SuggestionList';

export type LineKeys = {
  up: () => void;
  down: () => void;
  moveUp: () => void;
  moveDown: () => void;
  strike: () => void;
  add: () => void;
};

const SUGGEST_AFTER = 120;

/** Words, typed; while they are typed, what they may begin is offered below. */
export function WordsLine({
  line,
  number,
  first,
  invalid,
  keys,
  onType,
}: {
  line: Line;
  number: number;
  first: boolean;
  invalid: boolean;
  keys: LineKeys;
  onType: (text: string) => void;
}) {
  const here = useHere();
  const list = useId();
  const text = line.text ?? '';
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(-1);
  const suggestions = useSuggestions(here.id, useDelayed(typed, SUGGEST_AFTER));
  // What one has begun to choose from stays as it is, whatever answer comes late.
  const [held, setHeld] = useState<typeof suggestions.data>();
  const offered = held ?? (typed.length >= 2 ? (suggestions.data ?? []) : []);
  const open = offered.length > 0;
  const close = () => {
    setTyped('');
    setChosen(-1);
    setHeld(undefined);
  };
  const take = (at: number) => {
    const suggestion = offered[at];
    if (suggestion) onType(insertion(text, typed, suggestion));
    close();
  };
  const pressed = (event: KeyboardEvent<HTMLInputElement>) => {
    const act = keyAct(event);
    if (!act) return;
    event.preventDefault();
    act();
  };
  const keyAct = (event: KeyboardEvent<HTMLInputElement>): (() => void) | null => {
    const { key } = event;
    const step = key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && event.altKey) return step > 0 ? keys.moveDown : keys.moveUp;
    if (step !== 0 && open) {
      return () => {
        setHeld(offered);
        setChosen((now) => Math.min(offered.length - 1, Math.max(-1, now + step)));
      };
    }
    if (step !== 0) return step > 0 ? keys.down : keys.up;
    if (key === 'Enter' && open && chosen >= 0) return () => take(chosen);
    if (key === 'Enter' && event.shiftKey) return keys.add;
    if (key === 'Enter') {
      close();
      return null;
    }
    if (key === 'Escape' && open) return close;
    // The key that leads here, pressed by somebody who is here already.
    if (key === '/' && text === '') return () => undefined;
    return key === 'Backspace' && text === '' && number > 1 ? keys.strike : null;
  };
  return (
    <span className="relative min-w-0 max-w-full">
      <input
        data-main
        role="combobox"
        aria-label={`Line ${number}`}
        aria-expanded={open}
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={chosen >= 0 ? `${list}-${chosen}` : undefined}
        aria-invalid={invalid}
        autoFocus={first && text === ''}
        autoComplete="off"
        spellCheck={false}
        size={Math.min(90, Math.max(first || text === '' ? 44 : 12, text.length + 2))}
        placeholder={first ? 'words, "phrases", and, or, not, cut*, title: …' : 'one more line'}
        className={`line-text ${line.off ? 'text-faint line-through' : ''}`}
        value={text}
        onChange={(event) => {
          onType(event.target.value);
          setTyped(wordAt(event.target.value, event.target.selectionStart ?? 0));
          setChosen(-1);
          setHeld(undefined);
        }}
        onKeyDown={pressed}
        onBlur={close}
      />
      {open && <SuggestionList id={list} offered={offered} chosen={chosen} onTake={take} />}
    </span>
  );
}
