import { useState } from 'react';
import { Act } from '../../ui';
import { useHere } from '../session';
import { useCallHouse } from './houseApi';

/** What the people who run the installation call it. */
export function HouseName({ name }: { name: string }) {
  const here = useHere();
  const call = useCallHouse(here.id);
  const [typed, setTyped] = useState(name);
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-x-4"
      onSubmit={(event) => {
        event.preventDefault();
        call.mutate(typed);
      }}
    >
      <label>
        <span className="small-head">Name of the house</span>
        <input
          maxLength={120}
          className="field block w-80 max-w-full"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {typed !== name && (
        <Act type="submit" disabled={call.isPending}>
          Call it so
        </Act>
      )}
      {call.error && (
        <p role="alert" className="text-error">
          {call.error.message}
        </p>
      )}
    </form>
  );
}
