import { useState, type FormEvent } from 'react';
import type { Line } from '../../strategy';

type Limit = Omit<Line, 'id' | 'kind'> & { property: string };

const FORM: Record<string, RegExp> = {
  date: /^\d{4}(-(0[1-9]|1[0-2]))?$/,
  pages: /^\d{1,5}$/,
  came: /^\d{4}-\d{2}-\d{2}$/,
};

const SHOULD_BE: Record<string, string> = {
  date: 'a year, or a year and a month from 01 to 12: 2016 or 2016-03',
  pages: 'a number of pages',
  came: 'a day of the calendar: 2026-11-01',
};

const HINT: Record<string, string> = {
  date: '2016 or 2016-03',
  pages: 'pages',
  came: '2026-11-01',
};

/** Both ends, typed; or the last years, which roll on. */
export function Ends({
  property,
  line,
  onLimit,
}: {
  property: string;
  line: Line | undefined;
  onLimit: (limit: Limit) => void;
}) {
  const [from, setFrom] = useState(line?.from ?? '');
  const [to, setTo] = useState(line?.to ?? '');
  const [last, setLast] = useState(line?.last?.toString() ?? '');
  const [wrong, setWrong] = useState<string | null>(null);
  const unknown = line?.chosen ? { chosen: line.chosen } : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const bad = [from, to].find((end) => end !== '' && !isEnd(property, end));
    setWrong(bad ? `“${bad}” is not ${SHOULD_BE[property] ?? 'an end'}. Nothing was set.` : null);
    if (bad) return;
    onLimit({ property, ...unknown, ...(from ? { from } : {}), ...(to ? { to } : {}) });
  };
  const roll = (event: FormEvent) => {
    event.preventDefault();
    const bad = last !== '' && !/^[1-9]\d{0,2}$/.test(last);
    setWrong(bad ? `“${last}” is not a number of years from 1 to 999. Nothing was set.` : null);
    if (bad) return;
    onLimit({ property, ...unknown, ...(last ? { last: Number(last) } : {}) });
  };
  const field = (label: string, value: string, set: (value: string) => void) => (
    <label className="flex items-baseline gap-1">
      {label}
      <input
        className="field min-h-[26px]! w-[6.5rem] py-0!"
        placeholder={HINT[property]}
        value={value}
        onChange={(event) => set(event.target.value.trim())}
      />
    </label>
  );
  return (
    <>
      <form onSubmit={submit} className="flex items-baseline gap-2">
        {field('from', from, setFrom)}
        {field('to', to, setTo)}
        <button type="submit" className="act">
          Set
        </button>
      </form>
      {property === 'date' && (
        <form onSubmit={roll} className="flex items-baseline gap-2">
          <label className="flex items-baseline gap-1">
            this year and the last
            <input
              className="field min-h-[26px]! w-14 py-0!"
              inputMode="numeric"
              value={last}
              onChange={(event) => setLast(event.target.value.trim())}
            />
          </label>
          <button type="submit" className="act">
            Roll
          </button>
        </form>
      )}
      {wrong && (
        <p role="alert" className="text-error">
          {wrong}
        </p>
      )}
    </>
  );
}

function isEnd(property: string, text: string): boolean {
  if (!FORM[property]?.test(text)) return false;
  // A day that there is not, such as 30 February, comes back as another.
  return property !== 'came' || new Date(text).toJSON()?.startsWith(text) === true;
}
