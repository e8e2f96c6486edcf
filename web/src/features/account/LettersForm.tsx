import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Failed, ZoneInput } from '../../ui';
import { useOwnSettings, useSetOwn } from './api';

/** When the letter of the day comes, and where one's days begin. */
export function Letters() {
  const { data, error, refetch } = useOwnSettings();
  return (
    <section aria-label="Letters" className="mt-5 max-w-[52rem]">
      <h2 className="small-head">Letters</h2>
      {error && <Failed error={error} again={() => void refetch()} />}
      {data && <LettersForm key={JSON.stringify(data)} settings={data} />}
    </section>
  );
}

function LettersForm({ settings }: { settings: Schema['AccountSettings'] }) {
  const set = useSetOwn();
  const [letters, setLetters] = useState(settings.letters);
  const [hour, setHour] = useState(settings.letterHour.slice(0, 5));
  const [zone, setZone] = useState(settings.zone);
  const isSo =
    letters === settings.letters && settings.letterHour.startsWith(hour) && zone === settings.zone;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!set.isPending) set.mutate({ letters, letterHour: hour, zone });
  };
  return (
    <form onSubmit={submit} className="mt-1">
      <label className="flex min-h-[24px] items-center gap-2">
        <input
          type="checkbox"
          checked={letters}
          onChange={(event) => setLetters(event.target.checked)}
        />
        On days on which something waits for you: remarks that mention you, questions and answers,
        what you are given to look up
      </label>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-2">
        <label>
          at{' '}
          <input
            type="time"
            required
            className="field"
            value={hour}
            onChange={(event) => setHour(event.target.value)}
          />
        </label>
        <label>
          in{' '}
          <ZoneInput
            className="field w-56 max-w-full"
            aria-label="Time zone"
            value={zone}
            onChange={setZone}
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
