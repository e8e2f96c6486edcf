import { useState } from 'react';
import { Act, counted, day, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useHoldings } from './holdingsApi';
import { BringHoldings } from './BringHoldings';
import { Library } from './Library';
import { Parts } from './Parts';

const SHOWN = 100;

/** What the group may read, and for which years; a coordinator brings in another file. */
export function HoldingsPage() {
  const here = useHere();
  const holdings = useHoldings(here.id);
  const [bringing, setBringing] = useState(false);
  const [part, setPart] = useState('');
  if (holdings.error) return <Failed error={holdings.error} />;
  if (!holdings.data) return <Waiting what="the holdings" />;
  const { titles, name, by, at, lends } = holdings.data;
  const fitting = titles.filter((t) => t.title.toLowerCase().includes(part.trim().toLowerCase()));
  return (
    <div className="page">
      <title>Holdings · Quiet Lantern</title>
      <Title help="holdings" className="mb-2">
        Holdings
      </Title>
      <Parts />
      <p className="max-w-[65ch] text-soft">
        {name
          ? `From ${name}${at ? `, brought in on ${day(at)}` : ''}${by ? ` by ${by}` : ''}.`
          : 'No file was brought in: what is not open to all cannot be read through the group.'}{' '}
        {lends.length > 0 && `The lending library takes requests for: ${lends.join(', ')}.`}
      </p>
      <p className="mt-2 flex flex-wrap gap-x-4">
        {here.me.role === 'coordinator' && (
          <Act onClick={() => setBringing(true)}>Bring in a file (KBART)</Act>
        )}
        {name && (
          <a className="act" href={`/api/groups/${here.id}/holdings/file`} download>
            The file as it was brought in
          </a>
        )}
      </p>
      <Library name={holdings.data.library} address={holdings.data.resolver} />
      {bringing && <BringHoldings onClose={() => setBringing(false)} />}
      {titles.length > 0 && (
        <>
          <label className="mt-4 block">
            <span className="sr-only">Part of a title</span>
            <input
              className="field w-80 max-w-full"
              placeholder="look for a title"
              value={part}
              onChange={(event) => setPart(event.target.value)}
            />
          </label>
          <div
            className="mt-2 max-w-[52rem] overflow-x-auto"
            tabIndex={0}
            role="region"
            aria-label="Titles held"
          >
            <table className="w-full">
              <thead>
                <tr className="text-left text-[13px] text-soft">
                  <th scope="col" className="font-normal">
                    title
                  </th>
                  <th scope="col" className="font-normal">
                    ISSN
                  </th>
                  <th scope="col" className="font-normal">
                    from
                  </th>
                  <th scope="col" className="font-normal">
                    to
                  </th>
                  <th scope="col" className="font-normal" />
                </tr>
              </thead>
              <tbody>
                {fitting.slice(0, SHOWN).map((title) => (
                  <tr
                    key={`${title.issns[0]} ${title.stretch.from}`}
                    className="border-b border-base-300"
                  >
                    <th scope="row" className="py-1 text-left font-serif font-normal">
                      {title.title}
                    </th>
                    <td>{title.issns.join(', ')}</td>
                    <td>{title.stretch.from ?? 'the first'}</td>
                    <td>{title.stretch.to ?? 'the latest'}</td>
                    <td className="text-soft">
                      {title.stretch.free ? 'free to all' : title.stretch.embargo}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {fitting.length > SHOWN && (
              <p className="mt-2 text-soft">
                {counted(fitting.length - SHOWN, 'stretch', 'stretches')} more; look for a title.
              </p>
            )}
          </div>
        </>
      )}
    </div>
  );
}
