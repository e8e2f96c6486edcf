import { useState } from 'react';
import type { Schema } from '../../api';
import { ChooseFile, counted, day, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useHoldings, useTakeHoldings } from './api';
import { Parts } from './Parts';

const SHOWN = 100;

/** What the group may read, and for which years; a coordinator brings in another file. */
export function HoldingsPage() {
  const here = useHere();
  const holdings = useHoldings(here.id);
  const take = useTakeHoldings(here.id);
  const [part, setPart] = useState('');
  if (holdings.error) return <Failed error={holdings.error} />;
  if (!holdings.data) return <Waiting what="the holdings" />;
  const { titles, name, by, at, lends } = holdings.data;
  const fitting = titles.filter((t) => t.title.toLowerCase().includes(part.trim().toLowerCase()));
  const bring = async (chosen: File | undefined) => {
    if (chosen) take.mutate({ name: chosen.name, file: await chosen.text() });
  };
  const problems = (take.data?.problems ?? []) as Schema['ProblemLine'][];
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
      {here.me.role === 'coordinator' && (
        <p className="mt-2">
          <ChooseFile
            main
            label="Holdings file (KBART)"
            accept=".txt,.tsv,.kbart"
            disabled={take.isPending}
            onChosen={([chosen]) => void bring(chosen)}
          >
            Bring in a file (KBART)
          </ChooseFile>
        </p>
      )}
      {take.error && (
        <p role="alert" className="mt-2 text-error">
          {take.error.message}
        </p>
      )}
      {problems.length > 0 && (
        <ul aria-label="Lines that could not be used" className="mt-2 text-[13px] text-soft">
          {problems.map((problem) => (
            <li key={problem.line}>
              line {problem.line}: {problem.what}
            </li>
          ))}
        </ul>
      )}
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
