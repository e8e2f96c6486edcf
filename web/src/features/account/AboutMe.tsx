import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Act, DialogForm } from '../../ui';
import { useErase } from './api';

/** Everything about oneself: to take along, and to be erased. */
export function AboutMe() {
  const [asking, setAsking] = useState(false);
  return (
    <section aria-label="Everything about you" className="mt-5 max-w-[52rem]">
      <h2 className="small-head">Everything about you</h2>
      <p className="mt-1 flex flex-wrap gap-x-4">
        <a className="act" href="/api/me/data.zip" download>
          Take it along as a file
        </a>
        <Act onClick={() => setAsking(true)}>Erase it…</Act>
      </p>
      {asking && <EraseDialog onClose={() => setAsking(false)} />}
    </section>
  );
}

function EraseDialog({ onClose }: { onClose: () => void }) {
  const erase = useErase();
  const navigate = useNavigate();
  const [password, setPassword] = useState('');
  const gone = () => void navigate('/sign-in', { replace: true });
  return (
    <DialogForm
      title="Erase everything about you"
      act="Erase it for good"
      leave="Keep my account"
      disabled={erase.isPending || !password}
      error={erase.error}
      onSubmit={() => erase.mutate(password, { onSuccess: gone })}
      onClose={onClose}
    >
      <p className="mt-3 max-w-[60ch]">
        Your account, your piles, your trail, what you opened and the notes that you did not share
        are deleted, in all of your groups. What you said and marked is their work and stays, under
        “a former member”. Nothing brings this back; copies that whoever runs the installation keeps
        for emergencies go when those do.
      </p>
      <label className="mt-3 block">
        <span className="small-head">Your password</span>
        <input
          type="password"
          required
          autoComplete="current-password"
          className="field block w-full"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
      </label>
    </DialogForm>
  );
}
