import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, people } from '../../ui';
import { useHere } from '../session';

const ROWS: [string, (work: Schema['BesideShown']) => string][] = [
  ['Title', (work) => work.title],
  ['By', (work) => people(work.people)],
  ['Year', (work) => String(work.year ?? '')],
  ['In', (work) => work.where],
  ['Where in it', (work) => work.pages],
  ['Kind', (work) => work.kind],
  ['DOI', (work) => work.doi],
];

/** An entry beside what it may be; what differs stands out. */
export function Beside({
  entry,
  deciding,
  onDecide,
}: {
  entry: Schema['BroughtEntry'];
  deciding: boolean;
  /** Absent while nothing can be decided; without an id it is another work than these. */
  onDecide: ((same?: string) => void) | undefined;
}) {
  const here = useHere();
  return (
    <>
      {entry.here.map(({ id, own, access, work }) => (
        <table key={id} className="mt-1 w-full max-w-[52rem] table-fixed text-[13px]">
          <thead>
            <tr className="text-left">
              <th className="w-24 font-normal text-soft" scope="col">
                <span className="sr-only">What</span>
              </th>
              <th className="small-head" scope="col">
                The entry
              </th>
              <th className="small-head" scope="col">
                <Link to={`/g/${here.id}/p/${id}`}>What is here</Link>
                <span className="font-normal">
                  {own && ' (brought in)'} · {access}
                </span>
              </th>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([words, of]) => {
              const [one, other] = [of(entry.entry), of(work)];
              if (!one && !other) return null;
              const differs = one.toLowerCase() !== other.toLowerCase();
              return (
                <tr key={words} className="align-top">
                  <th scope="row" className="text-left font-normal text-soft">
                    {words}
                  </th>
                  {[one, other].map((said, at) => (
                    <td key={at} className={`break-words pr-3 ${differs ? 'font-semibold' : ''}`}>
                      {said || '–'}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
          {onDecide && !entry.decision && (
            <tfoot>
              <tr>
                <td />
                <td>
                  <Act disabled={deciding} onClick={() => onDecide()}>
                    It is another work
                  </Act>
                </td>
                <td>
                  <Act disabled={deciding} onClick={() => onDecide(id)}>
                    It is this one
                  </Act>
                </td>
              </tr>
            </tfoot>
          )}
        </table>
      ))}
    </>
  );
}
