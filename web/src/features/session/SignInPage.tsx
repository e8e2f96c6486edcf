import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useSignIn } from './api';
import { Entrance, EntranceEnd, EntranceField } from './Entrance';

/** Only addresses of our own are led on to. */
function next(to: string | null): string {
  return to && /^\/(g|open)\//.test(to) ? to : '/';
}

export function SignInPage() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const signIn = useSignIn();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const submit = () =>
    signIn.mutate(
      { email, password },
      { onSuccess: () => navigate(next(search.get('to')), { replace: true }) },
    );
  return (
    <Entrance says="A lamp left on over a literature." onSubmit={submit}>
      <EntranceField
        label="E-mail"
        type="email"
        autoComplete="username"
        autoFocus
        value={email}
        onChange={setEmail}
      />
      <EntranceField
        label="Password"
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
      />
      <EntranceEnd act="Sign in" busy={signIn.isPending} error={signIn.error} />
      <p className="mt-4">
        <Link className="act" to="/forgotten" state={{ email }}>
          I forgot my password
        </Link>
      </p>
    </Entrance>
  );
}
