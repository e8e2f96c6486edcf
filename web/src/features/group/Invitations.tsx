import { useState, type FormEvent } from 'react';
import { MailOfDemo } from '../demo';
import { useHere } from '../session';
import { useGroupActs, useInvitations } from './api';
import { InvitationLine } from './InvitationLine';
import { ROLES } from './MemberLine';

/** Who was asked and did not come yet, and the way to ask somebody. */
export function Invitations() {
  const here = useHere();
  const found = useInvitations(here.id);
  const { invite } = useGroupActs(here.id);
  return (
    <section aria-label="Asked in" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Asked in</h2>
      <ul>
        {(found.data ?? []).map((one) => (
          <InvitationLine
            key={one.id}
            invitation={one}
            as={`as ${one.role}`}
            again={invite.isPending ? null : () => invite.mutate(one)}
          />
        ))}
      </ul>
      <Ask />
      {here.demo && <MailOfDemo />}
    </section>
  );
}

function Ask() {
  const here = useHere();
  const { invite } = useGroupActs(here.id);
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<string>('member');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (invite.isPending) return;
    // Whoever writes the next address already keeps its letters.
    invite.mutate(
      { email, role },
      { onSuccess: () => setEmail((now) => (now === email ? '' : now)) },
    );
  };
  return (
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
        <span className="small-head">As</span>
        <select
          className="field block"
          value={role}
          onChange={(event) => setRole(event.target.value)}
        >
          {ROLES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      <button type="submit" className="act act-main mb-0.5" disabled={invite.isPending}>
        Ask in
      </button>
      {invite.error && (
        <p role="alert" className="w-full text-error">
          {invite.error.message}
        </p>
      )}
    </form>
  );
}
