import { Link } from 'react-router';
import { mayWrite, useHere } from '../session';
import { useListCounts } from './api';
import { LISTS } from './lists';

/** The ways to what is in no one round: how much there is of each, and where one is. */
export function ListLinks({ shown = '' }: { shown?: string }) {
  const here = useHere();
  const counts = useListCounts(here.id).data;
  return (
    <nav aria-label="Lists of arrivals" className="ml-auto flex flex-wrap gap-x-4 gap-y-1">
      {LISTS.filter(({ list }) => list !== 'owed' || mayWrite(here)).map(({ list, label }) => (
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
    </nav>
  );
}
