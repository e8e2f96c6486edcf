import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act, day, moment } from '../../ui';
import { MailOfDemo } from '../demo';
import { useHere } from '../session';
import { useGroupActs, useInvitations } from './api';
import { ROLES } from './MemberLine';

/** Who was asked and did not come yet, and the way to ask somebody. */
export function Invitations() {
  const here = useHere();
  const found = useInvitations(here.id);
  return (
    <section aria-label="Asked in" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Asked in</h2>
      <ul>
        {(found.data ?? []).map((one) => (
          <Line key={one.id} invitation={one} />
        ))}
      </ul>
      <Ask />
      {here.demo && <MailOfDemo />}
    </section>
  );
}

function Line({ invitation }: { invitation: Schema['InvitationShown'] }) {
  const here = useHere();
  const { takeBack, invite } = useGroupActs(here.id);
  const { id, email, role, by, at, until, expired, letter, trouble } = invitation;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1.5">
      <span className="min-w-[10rem] flex-1">
        <b className="font-semibold">{email}</b> <span className="text-soft">as {role}</span>
        <span className="block text-[13px] text-soft">
          asked by {by} on {day(at)};{' '}
          {expired ? 'its seven days are over' : `the link works until ${moment(until)}`}
        </span>
        <span className={`block text-[13px] ${letter === 'given up' ? 'text-error' : 'text-soft'}`}>
          {LETTER[letter] ?? letter}
          {trouble && `: ${trouble}`}
        </span>
      </span>
      <Act
        aria-label={`Send another letter to ${email}`}
        disabled={invite.isPending}
        onClick={() => invite.mutate({ email, role })}
      >
        Send another
      </Act>
      <Act
        aria-label={`Take the invitation of ${email} back`}
        disabled={takeBack.isPending}
        onClick={() => takeBack.mutate(id)}
      >
        Take it back
      </Act>
    </li>
  );
}

const LETTER: Record<string, string> = {
  waiting: 'the letter waits to be sent',
  sent: 'the letter is sent',
  'given up': 'the letter could not be sent',
};

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
