import { Link } from 'react-router';
import { day } from '../../ui';
import { useHere } from '../session';
import { useToCheck } from './api';

/** Revisions that colleagues gave to the reader; nothing where there are none. */
export function ToCheck() {
  const here = useHere();
  const waiting = useToCheck(here.id).data ?? [];
  if (waiting.length === 0) return null;
  return (
    <section aria-label="To be checked by you" className="mt-3">
      <h2 className="small-head">To be checked by you</h2>
      <ul>
        {waiting.map((each) => (
          <li key={`${each.search} ${each.n}`} className="flex flex-wrap items-baseline gap-x-3">
            <Link className="font-serif text-[16px]" to={`/g/${here.id}/s/${each.search}`}>
              {each.name}, revision {each.n}
            </Link>
            <span className="text-soft">
              given by {each.by} on {day(each.at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
