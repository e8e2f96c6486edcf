import { useState, type FormEvent } from 'react';
import { TextField } from '../../ui';
import { useHere } from '../session';
import { useSetDrive } from './api';

/** Where the drive is and who the group is there; the password is typed anew each time. */
export function SetDrive({
  address,
  name,
  onSet,
}: {
  address: string;
  name: string;
  onSet: () => void;
}) {
  const here = useHere();
  const set = useSetDrive(here.id);
  const [wanted, setWanted] = useState({ address, name, password: '' });
  const change = (part: Partial<typeof wanted>) => setWanted((now) => ({ ...now, ...part }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!set.isPending) set.mutate(wanted, { onSuccess: onSet });
  };
  return (
    <form onSubmit={submit} className="mt-2 max-w-[36rem]" autoComplete="off">
      <TextField
        label="Address of a folder, by WebDAV: https:// and what follows"
        value={wanted.address}
        most={1000}
        onChange={(next) => change({ address: next })}
      />
      <TextField
        label="Name of the group there"
        value={wanted.name}
        most={200}
        onChange={(next) => change({ name: next })}
      />
      <label className="mt-2 block">
        Password
        <input
          type="password"
          autoComplete="new-password"
          className="field mt-1 block w-full"
          maxLength={1000}
          value={wanted.password}
          onChange={(event) => change({ password: event.target.value })}
        />
      </label>
      <p className="mt-1 text-[13px] text-soft">
        It is tried first: a small file is written there and taken away. The password is kept sealed
        and never shown; one that is for this alone is best.
      </p>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-4">
        <button
          type="submit"
          className="act act-main"
          disabled={set.isPending || !wanted.address.trim() || !wanted.name.trim()}
        >
          Try it and set it
        </button>
        <span role="status" className="text-soft">
          {set.isPending && 'The drive is tried …'}
        </span>
      </p>
      {set.error && (
        <p role="alert" className="mt-2 text-error">
          {set.error.message}
        </p>
      )}
    </form>
  );
}
