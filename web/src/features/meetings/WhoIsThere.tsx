import { useState } from 'react';
import { DialogForm } from '../../ui';
import { offered, useHere } from '../session';

/** Who is at a meeting: guests are not noted. */
export function WhoIsThere({
  title,
  act,
  present,
  giving,
  children,
  onClose,
}: {
  title: string;
  act: string;
  /** Noted already; none before it begins: then whoever is not away. */
  present?: readonly string[];
  giving: {
    isPending: boolean;
    error: Error | null;
    mutate: (present: string[], then: { onSuccess: () => void }) => void;
  };
  children?: string;
  onClose: () => void;
}) {
  const { members } = useHere();
  const may = members.filter(({ role }) => role !== 'guest');
  const [there, setThere] = useState<ReadonlySet<string>>(
    () => new Set(present ?? may.filter(({ away }) => !away).map(({ id }) => id)),
  );
  const turn = (id: string) =>
    setThere((now) => new Set(now.has(id) ? [...now].filter((one) => one !== id) : [...now, id]));
  return (
    <DialogForm
      title={title}
      act={act}
      disabled={giving.isPending}
      error={giving.error}
      onSubmit={() =>
        giving.mutate(
          may.map(({ id }) => id).filter((id) => there.has(id)),
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      {children && <p className="mt-2 text-soft">{children}</p>}
      <fieldset className="mt-2">
        <legend className="small-head">Who is there</legend>
        {may.map((member) => (
          <label key={member.id} className="flex min-h-[32px] items-center gap-2">
            <input
              type="checkbox"
              className="size-[16px] accent-primary"
              checked={there.has(member.id)}
              onChange={() => turn(member.id)}
            />
            {offered(member).name}
          </label>
        ))}
      </fieldset>
    </DialogForm>
  );
}
