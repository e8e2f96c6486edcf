import { Link } from 'react-router';
import { Act, counted, day, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useOpened } from './api';

/** Every publication that the member opened, last first, with the search it came from. */
export function Opened({ words }: { words: string }) {
  const here = useHere();
  const opened = useOpened(here.id, words);
  if (opened.error) return <Failed error={opened.error} />;
  if (!opened.data) return <Waiting what="what you opened" />;
  const lines = opened.data.pages.flatMap((page) => page.lines);
  const all = opened.data.pages[0]?.all ?? 0;
  return (
    <>
      <p role="status" className="mt-3 text-soft">
        {counted(all, 'opening')}
      </p>
      <ol aria-label="Publications opened">
        {lines.map((line) => (
          <li key={line.id + line.at} className="border-b border-base-300 py-1.5">
            <Link
              className="font-serif text-[16px] hover:underline"
              to={`/g/${here.id}/p/${line.id}`}
            >
              {line.title}
              {line.retracted && <b className="text-error"> retracted</b>}
            </Link>
            <span className="block text-[13px] text-soft">
              {day(line.at)}
              {line.downloaded && ' · downloaded'}
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
      {opened.hasNextPage && (
        <Act disabled={opened.isFetchingNextPage} onClick={() => void opened.fetchNextPage()}>
          {counted(all - lines.length, 'older opening')}
        </Act>
      )}
    </>
  );
}
