import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { sheetLimited } from '../strategy';
import { useSources, useSupplied } from './sourcesApi';
import { Parts } from './Parts';
import { SourceTries } from './SourceTries';
import { Upkeep } from './Upkeep';

/** The form of its records, as OAI-PMH calls it. */
const SPEAKS: Record<string, string> = { mods: 'MODS', oai_dc: 'Dublin Core' };

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
      <ul className="max-w-[52rem]">
        {sources.data.map((source) => (
          <li key={source.key} className="border-b border-base-300 py-3">
            <h2 className="font-serif text-[17px] font-semibold">{source.name}</h2>
            <p className="text-soft">
              {counted(source.records, 'publication')}
              {source.firstYear != null && ` from ${source.firstYear} to ${source.lastYear}`} ·{' '}
              records in {SPEAKS[source.format] ?? source.format} ·{' '}
              {source.harvested ? `last harvest on ${day(source.harvested)}` : 'not harvested yet'}
            </p>
            {source.failed && (
              <p className="text-error">
                The harvest of {day(source.failed)} did not come through: {source.error}. It is
                tried again by itself; what is here stays.
              </p>
            )}
            <Supplies supplied={supplied.find((each) => each.source === source.key)} />
            <Acts source={source.key} name={source.name} />
          </li>
        ))}
      </ul>
      <Upkeep />
    </div>
  );
}

function Acts({ source, name }: { source: string; name: string }) {
  const here = useHere();
  const [open, setOpen] = useState(false);
  return (
    <>
      <p className="flex flex-wrap gap-x-4">
        <Link className="act" to={sheetLimited(here.id, 'source', [source])}>
          Search only here
        </Link>
        <Act aria-expanded={open} aria-label={`Harvests of ${name}`} onClick={() => setOpen(!open)}>
          Harvests
        </Act>
      </p>
      {open && <SourceTries source={source} />}
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
