import { useId, useRef, useState, type KeyboardEvent } from 'react';
import type { Schema } from '../../api';
import { useHere } from '../session';
import { useCitingChoices, useFirstStyle, useStyles } from './api';
import { lastStyles, noteStyle } from './lastStyles';

type Style = Schema['StyleShown'];

/**
 * Chooses a citation style by its title, discipline, journal or ISSN; before anything is typed the
 * group's stands first, then those that were chosen last.
 */
export function StyleField({
  chosen,
  onChoose,
}: {
  chosen: Style | undefined;
  onChoose: (style: Style) => void;
}) {
  const here = useHere();
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const groups = useCitingChoices(here.id).data?.style;
  const { data: found, isPlaceholderData: late } = useStyles(here.id, typed ?? '');
  const firstOf = useFirstStyle(here.id);
  const waiting = useRef<string | null>(null);
  const open = typed !== null;
  const known = [groups, ...lastStyles()].filter((one) => one !== undefined);
  const offered = once(typed ? (found?.styles ?? []) : [...known, ...(found?.styles ?? [])]);
  const lit = Math.min(at, offered.length - 1);
  const close = () => {
    setTyped(null);
    setAt(0);
    waiting.current = null;
  };
  const choose = (style: Style | undefined) => {
    if (!style) return;
    noteStyle(style);
    onChoose(style);
    close();
  };
  // Enter, pressed before the answer to what is typed is here, chooses when it is.
  const chooseFirst = async (words: string) => {
    waiting.current = words;
    const style = await firstOf(words);
    if (waiting.current === words) choose(style);
  };
  const move = (by: number) => {
    const next = Math.min(Math.max(lit + by, 0), offered.length - 1);
    setAt(next);
    list.current?.children[next]?.scrollIntoView({ block: 'nearest' });
  };
  const pressed = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      if (open) move(event.key === 'ArrowDown' ? 1 : -1);
      else setTyped('');
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (typed && late && at === 0) void chooseFirst(typed);
      else if (open) choose(offered[lit]);
    } else if (event.key === 'Escape' && open) {
      event.preventDefault();
      event.stopPropagation();
      close();
    }
  };
  return (
    <div className="relative">
      <label className="small-head" htmlFor={id}>
        Citation style
      </label>
      <input
        id={id}
        role="combobox"
        aria-expanded={open}
        aria-controls={`${id}-list`}
        aria-activedescendant={open && lit >= 0 ? `${id}-${lit}` : undefined}
        autoComplete="off"
        className="field block w-full"
        value={typed ?? chosen?.title ?? ''}
        placeholder="Title, discipline, journal or ISSN"
        onFocus={(event) => event.target.select()}
        onClick={() => setTyped((now) => now ?? '')}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
          waiting.current = null;
        }}
        onBlur={close}
        onKeyDown={pressed}
      />
      <ul
        ref={list}
        id={`${id}-list`}
        role="listbox"
        aria-label="Styles found"
        hidden={!open}
        className="absolute z-10 max-h-[16rem] w-full overflow-y-auto rounded-box border border-rule-strong bg-base-100 py-1 shadow"
      >
        {(open ? offered : []).map((style, index) => (
          <li
            key={style.name}
            id={`${id}-${index}`}
            role="option"
            aria-selected={index === lit}
            className={`cursor-pointer px-3 py-1 ${index === lit ? 'bg-base-200' : ''}`}
            // The field keeps the focus, so that its list stays.
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => choose(style)}
          >
            {style.title}
            <span className="text-soft">
              {style.format && ` · ${style.format}`}
              {style.name === groups?.name && ' · the group’s'}
              {style.checked && ' · checked'}
            </span>
          </li>
        ))}
      </ul>
      {open && typed && found && (
        <p className="mt-1 text-[13px] text-soft" role="status">
          {found.count === 0
            ? `No style has “${typed}”.`
            : found.count > found.styles.length
              ? `${found.count.toLocaleString('en-GB')} styles; the first ${found.styles.length} are here, type more to see others.`
              : `${found.count} ${found.count === 1 ? 'style' : 'styles'}`}
        </p>
      )}
    </div>
  );
}

function once(styles: readonly Style[]): Style[] {
  return [...new Map(styles.map((style) => [style.name, style])).values()];
}
