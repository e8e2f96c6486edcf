import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { sheetLimited } from '../strategy';
import { useSources, useSupplied, useUpkeep } from './sourcesApi';
import { AddSource } from './AddSource';
import { ChangeSource } from './ChangeSource';
import { SPEAKS } from './formats';
import { Parts } from './Parts';
import { SourceTries } from './SourceTries';
import { Upkeep } from './Upkeep';

/** What each source holds and supplies. */
export function SourcesPage() {
  const here = useHere();
  const sources = useSources(here.id);
  const supplied = useSupplied(here.id).data ?? [];
  if (sources.error) return <Failed error={sources.error} />;
  if (!sources.data) return <Waiting what="the sources" />;
  return (
    <div className="page">
      <title>Sources · Quiet Lantern</title>
      <Title help="sources" className="mb-2">
        Sources
      </Title>
      <Parts />
      <Adding none={sources.data.length === 0} />
      <ul className="max-w-[52rem]">
        {sources.data.map((source) => (
          <li key={source.key} className="border-b border-base-300 py-3">
            <h2 className="font-serif text-[17px] font-semibold">{source.name}</h2>
            <p className="text-soft">
              {counted(source.records, 'publication')}
              {source.firstYear != null && ` from ${source.firstYear} to ${source.lastYear}`} ·{' '}
              records in {SPEAKS[source.format] ?? source.format} ·{' '}
              {source.harvested ? `last harvest on ${day(source.harvested)}` : 'not harvested yet'}
              {source.paused && ' · paused'}
            </p>
            {source.failed && (
              <p className="text-error">
                The harvest of {day(source.failed)} did not come through: {source.error}. It is
                tried again by itself; what is here stays.
              </p>
            )}
            <Supplies supplied={supplied.find((each) => each.source === source.key)} />
            <Acts source={source} />
          </li>
        ))}
      </ul>
      <Upkeep />
    </div>
  );
}

/** A steward adds one; everybody else is told who does where there is none. */
function Adding({ none }: { none: boolean }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const [open, setOpen] = useState(false);
  return (
    <>
      {none && (
        <p className="my-3 max-w-[52rem]">
          Nothing can be found yet: no source supplies records.{' '}
          {steward
            ? 'Add one by the address of its OAI-PMH server.'
            : 'A steward of the installation adds sources.'}
        </p>
      )}
      {steward && (
        <p className="my-2">
          <Act main={none} onClick={() => setOpen(true)}>
            Add a source
          </Act>
        </p>
      )}
      {open && <AddSource onClose={() => setOpen(false)} />}
    </>
  );
}

function Acts({ source }: { source: Schema['SourceView'] }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const [open, setOpen] = useState(false);
  const [changing, setChanging] = useState(false);
  return (
    <>
      <p className="flex flex-wrap gap-x-4">
        <Link className="act" to={sheetLimited(here.id, 'source', [source.key])}>
          Search only here
        </Link>
        <Act
          aria-expanded={open}
          aria-label={`Harvests of ${source.name}`}
          onClick={() => setOpen(!open)}
        >
          Harvests
        </Act>
        {steward && (
          <Act aria-label={`Change ${source.name}`} onClick={() => setChanging(true)}>
            Change
          </Act>
        )}
      </p>
      {open && <SourceTries source={source.key} />}
      {changing && <ChangeSource source={source} onClose={() => setChanging(false)} />}
    </>
  );
}

/** Of its publications that are here: what sorts there are, and what is known of how many. */
function Supplies({ supplied }: { supplied: Schema['SuppliedShown'] | undefined }) {
  if (!supplied || supplied.count === 0) return null;
  const parts = (all: Schema['PartOf'][]) =>
    all.map(({ what, count }) => `${what} ${count.toLocaleString('en-GB')}`).join(' · ');
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 text-[13px]">
      <dt className="text-soft">kinds</dt>
      <dd>{parts(supplied.kinds)}</dd>
      <dt className="text-soft">with</dt>
      <dd>{parts(supplied.withs)}</dd>
    </dl>
  );
}
