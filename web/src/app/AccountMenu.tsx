import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useMe, useSignOut } from '../features/session';
import { Act, keysAreOn, Menu, setKeys, setTheme, theme } from '../ui';

export function AccountMenu({ name, role }: { name: string; role: string }) {
  const [dark, setDark] = useState(theme() === 'nightfall');
  const [single, setSingle] = useState(keysAreOn());
  const { group = '' } = useParams();
  const others = (useMe().data?.groups ?? []).filter((one) => one.id !== group);
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
    <Menu name={name} look="min-h-[24px] cursor-pointer whitespace-nowrap text-soft">
      {(close) => (
        <>
          <span className="text-soft">You are a {role} here</span>
          {others.map((other) => (
            <Link key={other.id} className="act" to={`/g/${other.id}/today`} onClick={close}>
              To {other.name}
            </Link>
          ))}
          <Link className="act" to={`/g/${group}/account`} onClick={close}>
            Your account
          </Link>
          <Link className="act" to="/found">
            Found a group
          </Link>
          <Act onClick={switchTheme}>{dark ? 'Day colours' : 'Night colours'}</Act>
          <Act onClick={switchKeys}>
            {single ? 'Switch single keys off' : 'Switch single keys on'}
          </Act>
          <Act onClick={() => signOut.mutate(undefined, { onSuccess: () => navigate('/sign-in') })}>
            Sign out
          </Act>
        </>
      )}
    </Menu>
  );
}
