import { Link } from 'react-router';
import { useHere } from '../session';

const WHAT: Record<string, { says: string; to: string }> = {
  source: { says: 'a source of records', to: 'sources' },
  headings: { says: 'headings to search by', to: 'headings' },
  journals: { says: 'what is known of journals', to: 'journals' },
  holdings: { says: 'what a group may read', to: 'holdings' },
};

/** What is not there yet; each can wait, and each leads to its place. */
export function Missing({ missing }: { missing: readonly string[] }) {
  const here = useHere();
  if (missing.length === 0) return null;
  return (
    <section aria-label="Not there yet" className="my-3">
      <p>Not there yet; each can wait:</p>
      <ul className="ml-5 list-disc">
        {missing.map((one) => (
          <li key={one}>
            <Link className="act" to={`/g/${here.id}/catalogue/${WHAT[one]?.to ?? 'house'}`}>
              {WHAT[one]?.says ?? one}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
