import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, TwoPanes, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useJournals, type Wanted } from './api';
import { BringJournals } from './BringJournals';
import { JournalPane } from './JournalPane';
import { Parts } from './Parts';
import { useUpkeep } from './sourcesApi';

const ACCESS: Record<string, string> = { open: 'open to all', held: 'some years yours to read' };

/** Journals: looked up by what one remembers of them; one of them beside. */
export function JournalsPage() {
  const here = useHere();
  const address = useAddress();
  const { params } = address;
  const wanted: Wanted = {
    words: params.get('words') ?? '',
    discipline: params.get('discipline') ?? '',
    letter: params.get('letter') ?? '',
    access: params.get('access') ?? '',
  };
  const issn = params.get('j');
  const journals = useJournals(here.id, wanted);
  const change = (key: string, value: string) =>
    address.change(key, value, { replace: key !== 'j' });
  const to = (which: string) => address.to('j', which, 'year');
  return (
    <TwoPanes
      label="Journal"
      open={issn !== null}
      onBack={() => change('j', '')}
      leaf={
        issn ? (
          <JournalPane
            key={issn}
            issn={issn}
            year={params.get('year')}
            onYear={(year) => change('year', year)}
          />
        ) : (
          <p className="text-soft">
            Look a journal up by words of its title, also by one that it had before, or by its ISSN.
          </p>
        )
      }
      list={
        <div className="page h-full overflow-y-auto">
          <title>Journals · Quiet Lantern</title>
          <Title help="journals" className="mb-2">
            Journals
          </Title>
          <Parts />
          <Files />
          <Asking wanted={wanted} shown={journals.data} onChange={change} />
          {journals.error ? (
            <Failed error={journals.error} />
          ) : !journals.data ? (
            <Waiting what="the journals" />
          ) : (
            <List shown={journals.data} current={issn} to={to} />
          )}
        </div>
      }
    />
  );
}

function Asking({
  wanted,
  shown,
  onChange,
}: {
  wanted: Wanted;
  shown: Schema['JournalsShown'] | undefined;
  onChange: (key: string, value: string) => void;
}) {
  return (
    <search className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <input
        aria-label="Words of a title, or an ISSN"
        className="field w-72 max-w-full"
        placeholder="words of a title, or an ISSN"
        value={wanted.words}
        onChange={(event) => onChange('words', event.target.value)}
      />
      <select
        aria-label="Discipline"
        className="field"
        value={wanted.discipline}
        onChange={(event) => onChange('discipline', event.target.value)}
      >
        <option value="">any discipline</option>
        {shown?.disciplines.map(({ name, journals }) => (
          <option key={name} value={name}>
            {name} ({journals})
          </option>
        ))}
      </select>
      <select
        aria-label="Access"
        className="field"
        value={wanted.access}
        onChange={(event) => onChange('access', event.target.value)}
      >
        <option value="">whether readable or not</option>
        <option value="held">some years readable</option>
        <option value="open">open to all</option>
      </select>
      <p className="flex basis-full flex-wrap gap-x-2" role="group" aria-label="First letter">
        {shown?.letters.map((letter) => (
          <Act
            key={letter}
            className="min-w-[24px] justify-center"
            aria-pressed={letter === wanted.letter}
            onClick={() => onChange('letter', letter === wanted.letter ? '' : letter)}
          >
            {letter}
          </Act>
        ))}
      </p>
    </search>
  );
}

function List({
  shown,
  current,
  to,
}: {
  shown: Schema['JournalsShown'];
  current: string | null;
  to: (issn: string) => string;
}) {
  if (shown.found === 0) {
    return (
      <p role="status" className="mt-3">
        No journal is like that. Fewer letters may help; a journal that no source supplies is not
        here.
      </p>
    );
  }
  const more = shown.found - shown.journals.length;
  return (
    <>
      <p role="status" className="mt-1 text-soft">
        {counted(shown.found, 'journal')}
        {more > 0 && `, the first ${shown.journals.length} of them below`}
      </p>
      <ul aria-label="Journals found">
        {shown.journals.map((journal) => (
          <li
            key={journal.issn}
            className={`flex items-baseline gap-x-3 border-b border-base-300 py-1 ${journal.issn === current ? 'bg-base-200' : ''}`}
          >
            <span className="min-w-0 flex-1">
              <Link
                className="font-serif text-[16px] hover:underline"
                aria-current={journal.issn === current || undefined}
                to={to(journal.issn)}
              >
                {journal.title}
              </Link>
              {journal.by && (
                <span className="ml-2 text-[13px] text-soft">formerly {journal.by}</span>
              )}
              <span className="block text-[13px] text-soft">
                {[journal.discipline, ACCESS[journal.access]].filter(Boolean).join(' · ')}
              </span>
            </span>
            <span>{journal.count.toLocaleString('en-GB')}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What is known of journals as a file, out and, for stewards, in. */
function Files() {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const [bringing, setBringing] = useState(false);
  return (
    <p className="mb-3 flex flex-wrap gap-x-4">
      {steward && <Act onClick={() => setBringing(true)}>Bring in journals</Act>}
      <a className="act" href={`/api/groups/${here.id}/journals.csv`} download>
        All of them as CSV
      </a>
      {bringing && <BringJournals onClose={() => setBringing(false)} />}
    </p>
  );
}
