import { Link } from 'react-router';
import { useHere } from '../../session';
import { Act } from '../../../ui';
import { useHeld } from '../sheetApi';
import type { Line } from '../../strategy';
import { lineKeys } from './LimitLine';
import type { LineKeys } from './WordsLine';

/** Strategies held whole; each leads to itself. */
export function HeldLine({
  line,
  keys,
  onStrategies,
}: {
  line: Line;
  keys: LineKeys;
  onStrategies: (names: string[]) => void;
}) {
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
          <Held
            group={here.id}
            name={name}
            onNewer={(newer) =>
              onStrategies(line.strategies?.map((each) => (each === name ? newer : each)) ?? [])
            }
          />
        </span>
      ))}
    </span>
  );
}

function Held({
  group,
  name,
  onNewer,
}: {
  group: string;
  name: string;
  onNewer: (newer: string) => void;
}) {
  const { title = '…', newer } = useHeld(group, name).data ?? {};
  return (
    <>
      <Link className="underline" to={`/g/${group}${address(name)}`}>
        {title}
      </Link>
      {newer && (
        <Act className="ml-3 font-sans text-[13px]" onClick={() => onNewer(newer)}>
          Hold revision {newer.split(':')[2]} instead
        </Act>
      )}
    </>
  );
}

/** What follows a publication or a folder leads to that. */
const PLACES: Record<string, string> = { a: 'p', k: 'f', c: 'f' };

function address(name: string): string {
  const [kind = '', id] = name.split(':');
  return `/${PLACES[kind] ?? kind}/${id}`;
}
