import { NavLink } from 'react-router';
import { useHere } from '../session';
import { useHouse } from './houseApi';
import { Missing } from './Missing';
import { useUpkeep } from './sourcesApi';

const PARTS = [
  ['journals', 'Journals'],
  ['headings', 'Headings'],
  ['sources', 'Sources'],
  ['followed', 'Feeds of others'],
  ['holdings', 'Holdings'],
  ['requests', 'Copy requests'],
] as const;

const STEWARDS = [['house', 'House']] as const;

/** The parts of the catalogue. */
export function Parts() {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  return (
    <>
      <nav aria-label="Parts of the catalogue" className="mb-4 flex flex-wrap gap-x-5">
        {[...PARTS, ...(steward ? STEWARDS : [])].map(([path, name]) => (
          <NavLink
            key={path}
            to={`/g/${here.id}/catalogue/${path}`}
            className={({ isActive }) => `act ${isActive ? 'font-semibold underline' : ''}`}
          >
            {name}
          </NavLink>
        ))}
      </nav>
      {steward && <StillMissing />}
    </>
  );
}

/** What the catalogue is without so far, where stewards see it; the house tells the rest. */
function StillMissing() {
  const here = useHere();
  const missing = (useHouse(here.id).data?.missing ?? []).filter((one) => one !== 'name');
  return <Missing missing={missing} />;
}
