import { useState } from 'react';
import {
  Act,
  chosenDates,
  chosenTheme,
  citesWords,
  copiesLink,
  DATE_LANGUAGES,
  day,
  keysAreOn,
  setCitesWords,
  setCopiesLink,
  setDates,
  setKeys,
  setTheme,
  type Theme,
} from '../../ui';
import { useHere } from '../session';

const THEMES: readonly (readonly [Theme | null, string])[] = [
  [null, 'as the device has it'],
  ['daybreak', 'day'],
  ['nightfall', 'night'],
];

/** What is chosen for this browser alone: colours, single keys, the language of dates, what is
 * copied along with citations. */
export function InThisBrowser() {
  const here = useHere();
  const [colours, setColours] = useState(chosenTheme);
  const [single, setSingle] = useState(keysAreOn);
  const [dates, setShown] = useState(chosenDates);
  const [link, setLink] = useState(copiesLink);
  const [cites, setCites] = useState(citesWords);
  return (
    <section aria-label="In this browser" className="mt-5 max-w-[52rem]">
      <h2 className="small-head">In this browser</h2>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-4" role="group" aria-label="Colours">
        Colours:
        {THEMES.map(([theme, name]) => (
          <Act
            key={name}
            aria-pressed={colours === theme}
            onClick={() => {
              setTheme(theme);
              setColours(theme);
            }}
          >
            {name}
          </Act>
        ))}
      </p>
      <Tick
        label="Single keys, such as 1 for keep"
        on={single}
        onTick={(on) => {
          setKeys(on);
          setSingle(on);
        }}
      />
      <Tick
        label="A copied citation carries the stable link"
        on={link}
        onTick={(on) => {
          setCopiesLink(on);
          setLink(on);
        }}
      />
      <Tick
        label="Words copied out of an abstract carry citation and link on the last line"
        on={cites}
        onTick={(on) => {
          setCitesWords(on);
          setCites(on);
        }}
      />
      <p className="mt-1">
        <label>
          Dates:{' '}
          <select
            className="field"
            value={dates}
            onChange={(event) => {
              setDates(event.target.value);
              setShown(event.target.value);
            }}
          >
            {DATE_LANGUAGES.map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </label>{' '}
        <span className="text-soft">today is {day(here.today)}</span>
      </p>
    </section>
  );
}

function Tick({
  label,
  on,
  onTick,
}: {
  label: string;
  on: boolean;
  onTick: (on: boolean) => void;
}) {
  return (
    <p className="mt-1">
      <label className="flex min-h-[24px] items-center gap-2">
        <input type="checkbox" checked={on} onChange={() => onTick(!on)} />
        {label}
      </label>
    </p>
  );
}
