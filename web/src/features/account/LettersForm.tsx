import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act, Failed, ZoneInput } from '../../ui';
import { useOwnSettings, useSetOwn } from './api';
import { LettersArrive } from './LettersArrive';

/** Monday is 1. */
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const MOST = 4;

/** When letters come, what they tell, and where one's days begin. */
export function Letters() {
  const { data, error, refetch } = useOwnSettings();
  return (
    <section aria-label="Letters" className="mt-5 max-w-[52rem]">
      <h2 className="small-head">Letters</h2>
      <LettersArrive />
      {error && <Failed error={error} again={() => void refetch()} />}
      {data && <LettersForm key={JSON.stringify(data)} settings={data} />}
    </section>
  );
}

function LettersForm({ settings }: { settings: Schema['AccountSettings'] }) {
  const set = useSetOwn();
  const was = { ...settings, letterHours: settings.letterHours.map((hour) => hour.slice(0, 5)) };
  const [wanted, setWanted] = useState(was);
  const change = (part: Partial<typeof was>) => setWanted({ ...wanted, ...part });
  const isSo = JSON.stringify(wanted) === JSON.stringify(was);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!set.isPending) set.mutate(wanted);
  };
  return (
    <form onSubmit={submit} className="mt-1">
      <Tick is={wanted.letters} onChange={(letters) => change({ letters })}>
        One letter with what alerts brought and what waits for you: remarks that mention you,
        questions and answers, what you are given to look up. Where nothing came, no letter comes.
      </Tick>
      <fieldset disabled={!wanted.letters} className={wanted.letters ? '' : 'opacity-60'}>
        <Days days={wanted.letterDays} onChange={(letterDays) => change({ letterDays })} />
        <Hours hours={wanted.letterHours} onChange={(letterHours) => change({ letterHours })} />
        <Tick is={wanted.lettersAtOnce} onChange={(lettersAtOnce) => change({ lettersAtOnce })}>
          As soon as a round closes, too
        </Tick>
        <Tick
          is={wanted.lettersOfNothing}
          onChange={(lettersOfNothing) => change({ lettersOfNothing })}
        >
          Also where nothing came
        </Tick>
      </fieldset>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <label>
          Your days are those of{' '}
          <ZoneInput
            className="field w-56 max-w-full"
            aria-label="Time zone"
            value={wanted.zone}
            onChange={(zone) => change({ zone })}
          />
        </label>
        <button type="submit" className="act act-main" disabled={isSo || set.isPending}>
          Set it so
        </button>
      </p>
      {set.error && (
        <p role="alert" className="text-error">
          {set.error.message}
        </p>
      )}
    </form>
  );
}

function Tick({
  is,
  onChange,
  children,
}: {
  is: boolean;
  onChange: (is: boolean) => void;
  children: string | string[];
}) {
  return (
    <label className="mt-1 flex min-h-[24px] items-baseline gap-2">
      <input type="checkbox" checked={is} onChange={(event) => onChange(event.target.checked)} />
      <span>{children}</span>
    </label>
  );
}

/** The last one cannot be taken away: who wants no letters says that above. */
function Days({ days, onChange }: { days: number[]; onChange: (days: number[]) => void }) {
  return (
    <fieldset className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
      <legend className="sr-only">On these days</legend>
      {DAYS.map((name, at) => {
        const day = at + 1;
        const is = days.includes(day);
        return (
          <label key={day} className="flex min-h-[24px] items-center gap-1.5">
            <input
              type="checkbox"
              checked={is}
              disabled={is && days.length === 1}
              onChange={() =>
                onChange(is ? days.filter((one) => one !== day) : [...days, day].sort())
              }
            />
            {name}
          </label>
        );
      })}
    </fieldset>
  );
}

function Hours({ hours, onChange }: { hours: string[]; onChange: (hours: string[]) => void }) {
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
      {hours.map((hour, at) => (
        <span key={at} className="flex items-baseline gap-1">
          <label>
            {at === 0 ? 'at ' : 'and at '}
            <input
              type="time"
              required
              className="field"
              value={hour}
              onChange={(event) =>
                onChange(hours.map((one, i) => (i === at ? event.target.value : one)))
              }
            />
          </label>
          {hours.length > 1 && (
            <Act
              aria-label={`Not at ${hour || 'that hour'}`}
              onClick={() => onChange(hours.filter((_, i) => i !== at))}
            >
              not then
            </Act>
          )}
        </span>
      ))}
      {hours.length < MOST && (
        <Act onClick={() => onChange([...hours, hours.includes('16:00') ? '12:00' : '16:00'])}>
          Another hour
        </Act>
      )}
    </p>
  );
}
