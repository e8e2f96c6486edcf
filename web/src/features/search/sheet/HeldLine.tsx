import { Link } from 'react-router';
import { useHere } from '../../session';
import { useHeldTitle } from '../sheetApi';
import type { Line } from '../../strategy';
import { lineKeys } from './LimitLine';
import type { LineKeys } from './WordsLine';

/** Strategies held whole; each leads to itself. */
export function HeldLine({ line, keys }: { line: Line; keys: LineKeys }) {
  const here = useHere();
  return (
    <span
      data-main
      tabIndex={0}
      role="group"
      aria-label="Held strategies"
      className={`line-text ${line.off ? 'text-faint line-through' : ''}`}
      onKeyDown={lineKeys(keys)}
    >
      {line.rulesOut && <b className="mr-2 font-sans text-[13px] font-semibold">not</b>}
      {(line.strategies ?? []).map((name, at) => (
        <span key={name}>
          {at > 0 && <b className="mx-2 font-sans text-[13px] font-semibold">or</b>}
          <Held group={here.id} name={name} />
        </span>
      ))}
    </span>
  );
}

function Held({ group, name }: { group: string; name: string }) {
  const title = useHeldTitle(group, name);
  return (
    <Link className="underline" to={`/g/${group}${address(name)}`}>
      {title}
    </Link>
  );
}

/** What is like a publication leads to the publication. */
function address(name: string): string {
  const [kind, id] = name.split(':');
  return `/${kind === 'a' ? 'p' : kind}/${id}`;
}
