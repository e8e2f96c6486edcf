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
import { EndSource } from './EndSource';
import { SPEAKS } from './formats';
import { timesSaid } from './HarvestTimes';
import { HowFar } from './HowFar';
import { useAskForAll } from './keepingApi';
import { LoadFiles } from './LoadFiles';
import { Loads } from './Loads';
import { Parts } from './Parts';
import { SourceRecords } from './SourceRecords';
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
          <Source
            key={source.key}
            source={source}
            supplied={supplied.find((each) => each.source === source.key)}
          />
        ))}
      </ul>
      <Loads />
      <Upkeep />
    </div>
  );
}

function Source({
  source,
  supplied,
}: {
  source: Schema['SourceView'];
  supplied: Schema['SuppliedShown'] | undefined;
}) {
  return (
    <li className="border-b border-base-300 py-3">
      <h2 className="font-serif text-[17px] font-semibold">{source.name}</h2>
      <p className="text-soft">
        {counted(source.records, 'publication')}
        {source.firstYear != null && years(source.firstYear, source.lastYear)} · {comes(source)}
      </p>
      <HowFar underWay={source.underWay} />
      {source.failed && !source.paused && !source.endingSince && !source.underWay && (
        <p className="text-error">
          The harvest of {day(source.failed)} did not come through: {source.error}. It is tried
          again by itself; what is here stays.
        </p>
      )}
      <Supplies supplied={supplied} />
      <Acts source={source} />
    </li>
  );
}

function years(first: number, last: number | null | undefined): string {
  return last == null || last === first ? ` of ${first}` : ` from ${first} to ${last}`;
}

/** From where its records come, and when they did last. */
function comes(source: Schema['SourceView']): string {
  if (source.endingSince)
    return source.records > 0
      ? `ended on ${day(source.endingSince)}, being taken back`
      : `ended on ${day(source.endingSince)}`;
  if (source.files) return 'loaded from files';
  const last = source.harvested ? `last harvest on ${day(source.harvested)}` : 'not harvested yet';
  const asked = source.paused ? 'paused' : timesSaid(source);
  return `records in ${SPEAKS[source.format] ?? source.format} · ${last} · ${asked}`;
}

/** A steward adds one; everybody else is told who does where there is none. */
function Adding({ none }: { none: boolean }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const [open, setOpen] = useState(false);
  const [loading, setLoading] = useState(false);
  return (
    <>
      {none && (
        <p className="my-3 max-w-[52rem]">
          Nothing can be found yet: no source supplies records.{' '}
          {steward
            ? 'Add one by the address of its OAI-PMH server, or load files.'
            : 'A steward of the installation adds sources.'}
        </p>
      )}
      {steward && (
        <p className="my-2 flex flex-wrap gap-x-4">
          <Act main={none} onClick={() => setOpen(true)}>
            Add a source
          </Act>
          <Act onClick={() => setLoading(true)}>Load files</Act>
        </p>
      )}
      {open && <AddSource onClose={() => setOpen(false)} />}
      {loading && <LoadFiles onClose={() => setLoading(false)} />}
    </>
  );
}

/** What is shown below a source, or asked about it. */
type Shown = 'harvests' | 'records' | 'change' | 'end';

function Acts({ source }: { source: Schema['SourceView'] }) {
  const here = useHere();
  const steward = useUpkeep(here.id).data?.steward ?? false;
  const all = useAskForAll(here.id);
  const [shown, setShown] = useState<Shown>();
  const close = () => setShown(undefined);
  const below = (what: Shown) => ({
    'aria-expanded': shown === what,
    onClick: () => setShown(shown === what ? undefined : what),
  });
  return (
    <>
      <p className="flex flex-wrap gap-x-4">
        <Link className="act" to={sheetLimited(here.id, 'source', [source.key])}>
          Search only here
        </Link>
        {!source.files && (
          <Act aria-label={`Harvests of ${source.name}`} {...below('harvests')}>
            Harvests
          </Act>
        )}
        <Act aria-label={`Records of ${source.name}`} {...below('records')}>
          Records
        </Act>
        {steward && (
          <>
            <Act aria-label={`Change ${source.name}`} onClick={() => setShown('change')}>
              Change
            </Act>
            {!source.files && (
              <Act
                aria-label={`Ask ${source.name} for everything again`}
                disabled={all.isPending}
                onClick={() => all.mutate(source)}
              >
                Everything again
              </Act>
            )}
            {!source.endingSince && (
              <Act aria-label={`End ${source.name}`} onClick={() => setShown('end')}>
                End
              </Act>
            )}
          </>
        )}
      </p>
      {shown === 'harvests' && <SourceTries source={source.key} />}
      {shown === 'records' && <SourceRecords source={source.key} />}
      {shown === 'change' && <ChangeSource source={source} onClose={close} />}
      {shown === 'end' && <EndSource source={source} onClose={close} />}
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
