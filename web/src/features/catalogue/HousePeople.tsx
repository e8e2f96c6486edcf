import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { Act, counted, moment, useAddress } from '../../ui';
import { useHere } from '../session';
import { useEndAccount, useLettersGivenUp } from './houseApi';

/** Letters that could not be sent, of all groups. */
export function Letters() {
  const here = useHere();
  const address = useAddress();
  const from = Number(address.params.get('letters')) || 0;
  const found = useLettersGivenUp(here.id, from).data;
  if (!found) return null;
  const { givenUp, inTrouble, next } = found;
  return (
    <section aria-label="Letters" className="mt-6">
      <h2 className="small-head">Letters that could not be sent</h2>
      <p className="text-soft">
        {givenUp.length === 0 && 'None. '}
        {inTrouble > 0 && `${counted(inTrouble, 'letter')} could not be sent yet; tried again.`}
      </p>
      <ul>
        {givenUp.map((one, at) => (
          <li key={at} className="break-words">
            {one.recipient}{' '}
            <span className="text-soft">
              on {moment(one.at)}: {one.trouble}
            </span>
          </li>
        ))}
      </ul>
      {next != null && (
        <Link className="act" to={address.to('letters', String(next))}>
          Those before
        </Link>
      )}
    </section>
  );
}

/** Ends an account, or lets one be used again. */
export function EndAccount() {
  const here = useHere();
  const set = useEndAccount(here.id);
  const [email, setEmail] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    set.mutate({ email, ended: true });
  };
  return (
    <section aria-label="End an account" className="mt-6">
      <h2 className="small-head">End an account</h2>
      <p className="text-soft">
        Its visits and memberships end and nobody signs in by it; what was said under it stays. Used
        again, it is in no group until it is asked in.
      </p>
      <form onSubmit={submit} className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <input
          type="email"
          required
          aria-label="E-mail address of the account"
          className="field w-72 max-w-full"
          value={email}
          onChange={(event) => setEmail(event.target.value)}
        />
        <button type="submit" className="act act-main" disabled={set.isPending}>
          End it
        </button>
        <Act disabled={set.isPending || !email} onClick={() => set.mutate({ email, ended: false })}>
          Let it be used again
        </Act>
      </form>
      {set.isSuccess && (
        <p role="status">
          {set.variables.email} {set.variables.ended ? 'has ended.' : 'can be used again.'}
        </p>
      )}
      {set.error && (
        <p role="alert" className="text-error">
          {set.error.message}
        </p>
      )}
    </section>
  );
}
