import { useState, type FormEvent } from 'react';
import { MailOfDemo } from '../demo';
import { InvitationLine } from '../group';
import { useHere } from '../session';
import { useAskedTo, usePeopleActs } from './peopleApi';

/** People from outside the group, who are asked to this folder by mail and see nothing else. */
export function FromOutside({ folder }: { folder: string }) {
  const here = useHere();
  const asked = useAskedTo(here.id, folder).data ?? [];
  const { ask } = usePeopleActs(here.id, folder);
  const [email, setEmail] = useState('');
  const [may, setMay] = useState('read');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (ask.isPending) return;
    // Whoever writes the next address already keeps its letters.
    ask.mutate({ email, may }, { onSuccess: () => setEmail((now) => (now === email ? '' : now)) });
  };
  return (
    <section aria-label="From outside" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">From outside</h2>
      <p className="text-soft">
        Somebody who is not in the group reads this folder, and may remark on what is in it. They
        see nothing else of the group.
      </p>
      <ul>
        {asked.map((one) => (
          <InvitationLine
            key={one.id}
            invitation={one}
            as={one.may === 'read' ? 'to read' : 'to read and remark'}
            again={
              ask.isPending ? null : () => ask.mutate({ email: one.email, may: one.may ?? 'read' })
            }
          />
        ))}
      </ul>
      <form onSubmit={submit} className="mt-3 flex flex-wrap items-end gap-3">
        <label>
          <span className="small-head">E-mail address</span>
          <input
            type="email"
            required
            maxLength={254}
            className="field block w-72 max-w-full"
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
        </label>
        <label>
          <span className="small-head">To</span>
          <select
            className="field block"
            value={may}
            onChange={(event) => setMay(event.target.value)}
          >
            <option value="read">read</option>
            <option value="remark">read and remark</option>
          </select>
        </label>
        <button type="submit" className="act act-main mb-0.5" disabled={ask.isPending}>
          Ask them
        </button>
        {ask.error && (
          <p role="alert" className="w-full text-error">
            {ask.error.message}
          </p>
        )}
      </form>
      {here.demo && <MailOfDemo />}
    </section>
  );
}
