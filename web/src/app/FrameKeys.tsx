import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { Act, Dialog, isKeyHere, useKeys } from '../ui';
import { PLACES } from './places';

/** What a key does, in every place that listens to it. */
const KEYS = [
  ['1', '1 … 5', 'keep, pass, raise, hold, seen'],
  ['0', '0', 'take back the last act; again, the one before it'],
  ['n', 'n', 'keep with a note or a reason'],
  ['r', 'r', 'to the next round'],
  ['l', 'l', 'copy the stable link'],
  ['c', 'c', 'copy the citation, or all of a bibliography'],
  ['j', 'j k', 'next and former, from anywhere'],
  ['p', 'p', 'peek at the abstract in the list'],
  ['x', 'x', 'tick'],
  ['m', 'm', 'mend what is wrong in an entry'],
  ['/', '/', 'to the last line of the sheet'],
  ['u', 'u U', 'undo and redo on the sheet'],
  ['w', 'w', 'the first way out of too few'],
  ['g', 'g', 'go to a place'],
  ['?', '?', 'these keys'],
] as const;

/** The way to go anywhere, keys that work everywhere, and the two small windows they open. */
export function FrameKeys({ group }: { group: string }) {
  const [open, setOpen] = useState<'go' | 'keys' | null>(null);
  useKeys({ g: () => setOpen('go'), '?': () => setOpen('keys') });
  const close = () => setOpen(null);
  return (
    <>
      <Act hint="g" className="max-xl:hidden!" onClick={() => setOpen('go')}>
        Go to
      </Act>
      {open === 'keys' && <KeyList group={group} onClose={close} />}
      {open === 'go' && <GoTo group={group} onClose={close} />}
    </>
  );
}

function KeyList({ group, onClose }: { group: string; onClose: () => void }) {
  return (
    <Dialog title="Keys here" onClose={onClose}>
      <dl className="mt-3 grid grid-cols-[5rem_1fr] gap-y-1">
        <KeySays keys="↑ ↓" does="former and next in a list" />
        <KeySays keys="Enter" does="search; open what is chosen" />
        {KEYS.filter(([key]) => isKeyHere(key)).map(([key, keys, does]) => (
          <KeySays key={key} keys={keys} does={does} />
        ))}
      </dl>
      <p className="mt-3 text-soft">Single keys can be switched off under your name.</p>
      <Link className="act mt-1" to={`/g/${group}/help`} onClick={onClose}>
        All our words, and help for each place
      </Link>
      <button type="button" className="act mt-3" onClick={onClose}>
        Close
      </button>
    </Dialog>
  );
}

function KeySays({ keys, does }: { keys: string; does: string }) {
  return (
    <>
      <dt className="font-semibold">{keys}</dt>
      <dd>{does}</dd>
    </>
  );
}

function GoTo({ group, onClose }: { group: string; onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  const fits = PLACES.filter((p) => p.name.toLowerCase().startsWith(typed.trim().toLowerCase()));
  const go = (path: string) => {
    onClose();
    navigate(`/g/${group}/${path}`);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (fits[0]) go(fits[0].path);
  };
  return (
    <Dialog title="Go to" onClose={onClose}>
      <form onSubmit={submit} className="mt-3">
        <input
          autoFocus
          aria-label="Place"
          className="field w-full"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </form>
      <ul className="mt-2">
        {fits.map((place) => (
          <li key={place.path}>
            <button type="button" className="act" onClick={() => go(place.path)}>
              {place.name}
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
