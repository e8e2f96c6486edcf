import { useLayoutEffect, useRef } from 'react';
import type { Schema } from '../../../api';

const KIND: Record<string, string> = {
  heading: 'heading',
  keyword: 'author keyword',
  author: 'author',
  journal: 'journal',
};

/** What is offered for the word being typed. */
export function SuggestionList({
  id,
  offered,
  chosen,
  onTake,
}: {
  id: string;
  offered: Schema['SuggestionShown'][];
  chosen: number;
  onTake: (at: number) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  // Over everything, below the line: the sheet itself may scroll.
  useLayoutEffect(() => {
    const line = list.current?.parentElement?.getBoundingClientRect();
    if (!list.current || !line) return;
    list.current.style.top = `${line.bottom}px`;
    list.current.style.left = `${line.left}px`;
  });
  return (
    <ul
      ref={list}
      id={id}
      role="listbox"
      aria-label="Suggestions"
      className="fixed z-20 w-[30rem] max-w-[calc(100vw-3rem)] rounded-box border border-rule-strong bg-base-100 py-1"
    >
      {offered.map((each, at) => (
        <li
          key={`${each.property} ${each.value} ${each.name ?? ''}`}
          id={`${id}-${at}`}
          role="option"
          aria-selected={at === chosen}
          className={`flex min-h-[26px] cursor-pointer items-baseline gap-3 px-3 ${
            at === chosen ? 'bg-base-300' : 'hover:bg-base-200'
          }`}
          // Before the input loses the focus.
          onMouseDown={(event) => {
            event.preventDefault();
            onTake(at);
          }}
        >
          <span className="min-w-0 flex-1 truncate font-serif text-[15px]">
            {each.value}
            {each.name && (
              <span className="font-sans text-[13px] text-soft"> for “{each.name}”</span>
            )}
          </span>
          <span className="text-[12px] text-soft">{KIND[each.property]}</span>
          <span className="w-12 text-right">{each.count.toLocaleString('en-GB')}</span>
        </li>
      ))}
    </ul>
  );
}
