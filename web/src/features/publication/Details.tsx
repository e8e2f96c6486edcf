import type { Schema } from '../../api';
import { listed } from '../../ui';

/** What its page says of a publication beyond the leaf: people in full, numbers, dates. */
export function Details({ leaf }: { leaf: Schema['Leaf'] }) {
  const known = leaf.people.filter(
    (person) => person.orcid || person.affiliations.length > 0 || person.role !== 'author',
  );
  const { published } = leaf.publication;
  return (
    <>
      {known.length > 0 && (
        <section aria-label="People">
          <h3 className="small-head mt-3">People</h3>
          <ul>
            {known.map((person, at) => (
              <li key={`${at} ${person.name}`}>
                {person.name}
                {person.role !== 'author' && `, ${person.role}`}
                {person.affiliations.length > 0 && (
                  <span className="text-soft"> {listed(person.affiliations)}</span>
                )}
                {person.orcid && (
                  <>
                    {' · '}
                    <a
                      className="act"
                      href={`https://orcid.org/${person.orcid}`}
                      target="_blank"
                      rel="noreferrer"
                    >
                      ORCID {person.orcid}
                    </a>
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Numbers and dates">
        <h3 className="small-head mt-3">Numbers and dates</h3>
        <ul>
          {leaf.numbers.map(({ scheme, value, address }) => (
            <li key={scheme + value}>
              <span className="text-soft">{scheme}</span>{' '}
              {address ? (
                <a className="act" href={address} target="_blank" rel="noreferrer">
                  {value}
                </a>
              ) : (
                value
              )}
            </li>
          ))}
          <li>
            <span className="text-soft">first appeared</span> {published ?? 'nobody says when'}
            <span className="text-soft">, which counts in limits of time</span>
          </li>
          {leaf.issued && leaf.issued !== published && (
            <li>
              <span className="text-soft">in this place</span> {leaf.issued}
              <span className="text-soft">, which is cited</span>
            </li>
          )}
          {leaf.language && (
            <li>
              <span className="text-soft">language</span> {leaf.language}
            </li>
          )}
        </ul>
      </section>
    </>
  );
}
