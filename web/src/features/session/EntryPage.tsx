import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { ownZone, useEnter, useEntry } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';

const SHORTEST = 10;

/** Coming in by a link: its code stands behind the #, which browsers tell nobody. */
export function EntryPage() {
  const code = useLocation().hash.slice(1);
  const entry = useEntry(code);
  const enter = useEnter();
  const navigate = useNavigate();
  const [password, setPassword] = useState('');
  if (entry.error)
    return (
      <main className="page">
        <Failed error={entry.error} />
        <p className="mt-2">
          <Link className="act" to="/sign-in">
            Sign in
          </Link>
        </p>
      </main>
    );
  if (!entry.data) return <Waiting what="your link" />;
  const { email, known } = entry.data;
  return (
    <Entrance
      says={
        known ? (
          <>
            Another password for <b>{email}</b>.
          </>
        ) : (
          <>
            Welcome. You come in as <b>{email}</b>.
          </>
        )
      }
      onSubmit={() =>
        enter.mutate(
          { code, password, zone: ownZone() },
          { onSuccess: () => navigate('/', { replace: true }) },
        )
      }
    >
      {/* For whatever remembers passwords. */}
      <input type="email" autoComplete="username" value={email} readOnly hidden />
      <EntranceField
        label={`A password, ${SHORTEST} characters or more`}
        type="password"
        autoComplete="new-password"
        autoFocus
        minLength={SHORTEST}
        maxLength={200}
        value={password}
        onChange={setPassword}
      />
      <EntranceEnd act="Come in" busy={enter.isPending} error={enter.error} />
    </Entrance>
  );
}
