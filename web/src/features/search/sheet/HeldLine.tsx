import { Link } from 'react-router';
import { useHere } from '../../session';
import { useBeginnings } from '../sheetApi';
import { shortText, type Line } from '../../strategy';
import { lineKeys } from './LimitLine';
import type { LineKeys } from './WordsLine';

/** Strategies held whole; each leads to itself. */
export function HeldLine({ line, keys }: { line: Line; keys: LineKeys }) {
  const here = useHere();
  const known = useBeginnings(here.id).data;
  const all = [...(known?.saved ?? []), ...(known?.steps ?? [])];
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
      {(line.strategies ?? []).map((name, at) => {
        const held = all.find((each) => each.name === name);
        return (
          <span key={name}>
            {at > 0 && <b className="mx-2 font-sans text-[13px] font-semibold">or</b>}
            <Link className="underline" to={`/g/${here.id}${held?.address ?? address(name)}`}>
              {held ? held.title || shortText(held.strategy) : title(name)}
            </Link>
          </span>
        );
      })}
    </span>
  );
}

function title(name: string): string {
  const [kind, id, n] = name.split(':');
  return kind === 's' ? `saved search ${id}, revision ${n}` : `search ${id}`;
}

function address(name: string): string {
  const [kind, id] = name.split(':');
  return `/${kind}/${id}`;
}
