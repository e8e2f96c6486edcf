import { Link } from 'react-router';
import { counted, day, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useOpened } from './api';

/** Every publication that the member opened, last first, with the search it came from. */
export function Opened() {
  const here = useHere();
  const opened = useOpened(here.id);
  if (opened.error) return <Failed error={opened.error} />;
  if (!opened.data) return <Waiting what="what you opened" />;
  return (
    <>
      <p role="status" className="mt-3 text-soft">
        {counted(opened.data.length, 'publication')}
      </p>
      <ol aria-label="Publications opened">
        {opened.data.map((line) => (
          <li key={line.id} className="border-b border-base-300 py-1.5">
            <Link
              className="font-serif text-[16px] hover:underline"
              to={`/g/${here.id}/p/${line.id}`}
            >
              {line.title}
            </Link>
            <span className="block text-[13px] text-soft">
              {day(line.at)}
              {line.q && (
                <>
                  {' · from '}
                  <Link className="act" to={`/g/${here.id}/q/${line.q}`}>
                    this search
                  </Link>
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
