import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { Act, Failed, Waiting } from '../../ui';
import { useSignOut } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';
import { useInvitation, useJoin } from './joinApi';

/** Coming into a group by an invitation: its code stands behind the #, which browsers tell nobody. */
export function JoinPage() {
  const code = useLocation().hash.slice(1);
  const found = useInvitation(code);
  if (found.error)
    return (
      <main className="page">
        <Failed error={found.error} />
        <p className="mt-2">
          <Link className="act" to="/">
            Go to my group
          </Link>
        </p>
      </main>
    );
  if (!found.data) return <Waiting what="your invitation" />;
  return <Join code={code} invitation={found.data} again={() => void found.refetch()} />;
}

type Invitation = NonNullable<ReturnType<typeof useInvitation>['data']>;

function Join({
  code,
  invitation,
  again,
}: {
  code: string;
  invitation: Invitation;
  again: () => void;
}) {
  const { group, by, email, role, folder, may, known, here, other } = invitation;
  const how = here ? 'here' : known ? 'known' : 'new';
  const join = useJoin(how);
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const says = (
    <>
      {folder ? (
        <>
          {by} of {group} asks you to {may === 'read' ? 'read' : 'read and remark on'} the folder{' '}
          <b>{folder}</b>.
        </>
      ) : (
        <>
          {by} asks you into <b>{group}</b>, as {role}.
        </>
      )}{' '}
      You come in as <b>{email}</b>.
    </>
  );
  if (other) {
    return (
      <main className="page">
        <p>{says}</p>
        <p className="mt-2">You are signed in here with another address.</p>
        <Act
          main
          className="mt-3"
          disabled={signOut.isPending}
          onClick={() => signOut.mutate(undefined, { onSuccess: again })}
        >
          Sign out, and go on
        </Act>
      </main>
    );
  }
  const submit = () =>
    join.mutate(
      { code, email, name, password },
      {
        onSuccess: (id) =>
          void navigate(`/g/${id}/${folder ? 'folders' : 'today'}`, { replace: true }),
      },
    );
  return (
    <Entrance says={says} onSubmit={submit}>
      {/* For whatever remembers passwords. */}
      <input type="email" autoComplete="username" value={email} readOnly hidden />
      <EntranceField
        label="Your name, as the group sees it"
        autoComplete="name"
        autoFocus
        maxLength={120}
        value={name}
        onChange={setName}
      />
      {how !== 'here' && (
        <EntranceField
          label={known ? 'Your password' : 'A password, 10 characters or more'}
          type="password"
          autoComplete={known ? 'current-password' : 'new-password'}
          {...(known ? {} : { minLength: 10 })}
          maxLength={200}
          value={password}
          onChange={setPassword}
        />
      )}
      <EntranceEnd
        act={folder ? 'Come in' : 'Join the group'}
        busy={join.isPending}
        error={join.error}
      />
    </Entrance>
  );
}
