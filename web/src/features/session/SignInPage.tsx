import { useState, type FormEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useSignIn } from './api';

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
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate(
      { email, password },
      { onSuccess: () => navigate(next(search.get('to')), { replace: true }) },
    );
  };
  return (
    <main className="flex h-full items-center justify-center p-6">
      <form onSubmit={submit} className="w-80 max-w-full">
        <h1 className="flex items-center gap-2 font-serif text-2xl font-semibold">
          <img src="/lantern.svg" alt="" width="18" height="26" />
          Quiet Lantern
        </h1>
        <p className="mt-1 text-soft">A lamp left on over a literature.</p>
        <label className="mt-6 block">
          <span className="small-head">E-mail</span>
          <input
            className="field w-full"
            type="email"
            required
            autoComplete="username"
            autoFocus
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
        </label>
        <label className="mt-3 block">
          <span className="small-head">Password</span>
          <input
            className="field w-full"
            type="password"
            required
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </label>
        {signIn.error && (
          <p role="alert" className="mt-3 text-error">
            {signIn.error.message}
          </p>
        )}
        <button type="submit" disabled={signIn.isPending} className="act act-main mt-5">
          Sign in
        </button>
      </form>
    </main>
  );
}
