import { Link } from 'react-router';
import { useHere } from '../session';

/** Leads to what was done with one thing, `folder:ID`. */
export function ActivityLink({ of }: { of: string }) {
  const here = useHere();
  return (
    <Link className="act" to={`/g/${here.id}/activity?of=${of}`}>
      Activity
    </Link>
  );
}
