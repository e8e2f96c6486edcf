import { NavLink } from 'react-router';
import { useHere } from '../session';

const PARTS = [
  ['journals', 'Journals'],
  ['headings', 'Headings'],
  ['sources', 'Sources'],
  ['holdings', 'Holdings'],
] as const;

/** The parts of the catalogue. */
export function Parts() {
  const here = useHere();
  return (
    <nav aria-label="Parts of the catalogue" className="mb-4 flex gap-5">
      {PARTS.map(([path, name]) => (
        <NavLink
          key={path}
          to={`/g/${here.id}/catalogue/${path}`}
          className={({ isActive }) => `act ${isActive ? 'font-semibold underline' : ''}`}
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
