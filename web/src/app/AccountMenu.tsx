import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useSignOut } from '../features/session';
import { Act, keysAreOn, setKeys, setTheme, theme } from '../ui';

export function AccountMenu({ name, role }: { name: string; role: string }) {
  const [open, setOpen] = useState(false);
  const [dark, setDark] = useState(theme() === 'nightfall');
  const [single, setSingle] = useState(keysAreOn());
  const signOut = useSignOut();
  const navigate = useNavigate();
  const switchTheme = () => {
    setTheme(dark ? 'daybreak' : 'nightfall');
    setDark(!dark);
  };
  const switchKeys = () => {
    setKeys(!single);
    setSingle(!single);
  };
  return (
    <div className="relative">
      <button
        type="button"
        aria-expanded={open}
        className="min-h-[24px] cursor-pointer whitespace-nowrap text-soft"
        onClick={() => setOpen(!open)}
      >
        {name}
      </button>
      {open && (
        <div className="absolute right-0 z-20 mt-2 flex w-56 flex-col items-start gap-2 rounded-box border border-rule-strong bg-base-100 p-4">
          <span className="text-soft">You are a {role} here</span>
          <Act onClick={switchTheme}>{dark ? 'Day colours' : 'Night colours'}</Act>
          <Act onClick={switchKeys}>
            {single ? 'Switch single keys off' : 'Switch single keys on'}
          </Act>
          <Act onClick={() => signOut.mutate(undefined, { onSuccess: () => navigate('/sign-in') })}>
            Sign out
          </Act>
        </div>
      )}
    </div>
  );
}
