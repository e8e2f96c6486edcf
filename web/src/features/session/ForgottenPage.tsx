import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useForgotten } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';

/** Asking for a link to choose another password. */
export function ForgottenPage() {
  const given: unknown = (useLocation().state as { email?: unknown } | null)?.email;
  const [email, setEmail] = useState(typeof given === 'string' ? given : '');
  const forgotten = useForgotten();
  return (
    <Entrance
      says="A letter with a link is sent to you. There you choose another password."
      onSubmit={() => forgotten.mutate(email)}
    >
      <title>Another password · Quiet Lantern</title>
      <EntranceField
        label="E-mail"
        type="email"
        autoComplete="username"
        autoFocus
        maxLength={320}
        value={email}
        onChange={setEmail}
      />
      {forgotten.isSuccess && (
        <p role="status" className="mt-3">
          If there is an account with <b>{forgotten.variables}</b>, its letter is on the way. The
          link works once, for an hour.
        </p>
      )}
      <EntranceEnd
        act={forgotten.isSuccess ? 'Send it again' : 'Send me a link'}
        busy={forgotten.isPending}
        error={forgotten.error}
      />
      <p className="mt-4">
        <Link className="act" to="/sign-in">
          Sign in
        </Link>
      </p>
    </Entrance>
  );
}
