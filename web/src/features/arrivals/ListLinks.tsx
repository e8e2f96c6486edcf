import { Link } from 'react-router';
import { mayWrite, useHere } from '../session';
import { useListCounts } from './api';
import { LISTS } from './lists';

/** The ways to what is in no one round, with how much there is: those that have something. */
export function ListLinks({ shown = '' }: { shown?: string }) {
  const here = useHere();
  const counts = useListCounts(here.id).data;
  return (
    <nav aria-label="Lists of arrivals" className="ml-auto flex flex-wrap gap-x-4 gap-y-1">
      {LISTS.filter(
        ({ list }) =>
          list === shown || ((counts?.[list] ?? 0) > 0 && (list !== 'owed' || mayWrite(here))),
      ).map(({ list, label }) => (
        <Link
          key={list}
          className="act"
          aria-current={list === shown ? 'page' : undefined}
          to={`/g/${here.id}/arrivals/${list}`}
        >
          {label}
          {counts && `, ${counts[list].toLocaleString('en-GB')}`}
        </Link>
      ))}
      <Link className="act" to={`/g/${here.id}/board`}>
        Board
      </Link>
      <Link className="act" to={`/g/${here.id}/meetings`}>
        Meetings
      </Link>
      <Link className="act" to={`/g/${here.id}/flow`}>
        Flow
      </Link>
    </nav>
  );
}
