import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day, Failed, Sentences, shortDay, useCopyAddress, Waiting } from '../../ui';
import { ActivityLink } from '../activity';
import { SetAlertDialog } from '../alerts';
import { Own, Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useDocument, useHistory, useRun } from './api';
import { RevisionPart } from './RevisionPart';
import { SearchActs } from './SearchActs';

/** A saved search: what it finds now, how it came to be what it is, and who looked at it. */
export function SavedSearchPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const history = useHistory(here.id, id);
  if (history.error) return <Failed error={history.error} />;
  if (!history.data) return <Waiting what="the saved search" />;
  const { search, now, revisions, runs } = history.data;
  const last = revisions[0];
  return (
    <div className="page">
      <title>{`${search.name} · Quiet Lantern`}</title>
      <Title help="saved">{search.name}</Title>
      <p className="mt-1">
        {now == null ? (
          <span role="alert" className="text-error">
            It cannot be searched as it stands: change it on the sheet.
          </span>
        ) : (
          <>
            Finds <b className="font-semibold">{counted(now, 'publication')}</b> now
            {last && last.count !== now && (
              <span className="text-soft">
                , {last.count.toLocaleString('en-GB')} when revision {last.n} was saved
              </span>
            )}
            .
          </>
        )}{' '}
        <span className="text-soft">
          In{' '}
          <Link className="act" to={`/g/${here.id}/f/${search.folder.id}`}>
            {search.folder.name}
          </Link>
          .
        </span>
      </p>
      <Sentences all={history.data.notes} />
      <Acts history={history.data} />
      <Documented history={history.data} />
      {revisions.map((revision, at) => (
        <RevisionPart
          key={revision.n}
          search={search.id}
          revision={revision}
          newest={at === 0}
          first={at === revisions.length - 1}
        />
      ))}
      {runs.length > 0 && <Runs runs={runs} />}
    </div>
  );
}

function Acts({ history }: { history: Schema['HistoryShown'] }) {
  const here = useHere();
  const run = useRun(here.id);
  const copy = useCopyAddress();
  const [setting, setSetting] = useState(false);
  const navigate = useNavigate();
  const { search } = history;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-x-5">
      <Act main disabled={run.isPending} onClick={() => run.mutate(search.id)}>
        Search for it now
      </Act>
      {mayWrite(here) && (
        <Link className="act" to={`/g/${here.id}/search?of=${search.id}`}>
          Change it on the sheet
        </Link>
      )}
      <Link className="act" to={`/g/${here.id}/report?of=s:${search.id}:${search.revision}`}>
        Report
      </Link>
      <Link className="act" to={`/g/${here.id}/compare?one=s:${search.id}:${search.revision}`}>
        Compare
      </Link>
      {search.alert ? (
        <Link className="act" to={`/g/${here.id}/a/${search.alert}`}>
          Alert
        </Link>
      ) : (
        mayWrite(here) && <Act onClick={() => setSetting(true)}>Set alert</Act>
      )}
      <Act onClick={() => copy(`/s/${search.id}`)}>Stable link</Act>
      <ActivityLink of={`search:${search.id}`} />
      <SearchActs
        search={search}
        onEnded={() => void navigate(`/g/${here.id}/f/${search.folder.id}`)}
      />
      {setting && (
        <SetAlertDialog
          group={here.id}
          watch={{ saved: search }}
          onClose={() => setSetting(false)}
        />
      )}
    </p>
  );
}

function Documented({ history }: { history: Schema['HistoryShown'] }) {
  const here = useHere();
  const { search, documented, documentedBy } = history;
  const declare = useDocument(here.id, search.id);
  return (
    <p className="mt-3 max-w-[75ch] text-soft">
      <Own word="documented">{documented ? 'Documented' : 'Not documented'}</Own>
      {documented
        ? ` since ${day(documented)}, by ${documentedBy}: each change gives a reason, each run is kept below. `
        : ': changes need no reason, and runs are not kept. '}
      {mayWrite(here) && (
        <Act disabled={declare.isPending} onClick={() => declare.mutate(!documented)}>
          {documented ? 'End that' : 'Document it'}
        </Act>
      )}
    </p>
  );
}

function Runs({ runs }: { runs: Schema['RunShown'][] }) {
  return (
    <section aria-label="Runs" className="mt-6">
      <h2 className="small-head">Runs</h2>
      <ul className="max-w-[46rem]">
        {runs.map((run) => (
          <li key={run.at} className="flex items-baseline gap-x-4 border-b border-base-300 py-1">
            <span className="w-20">{shortDay(run.at)}</span>
            <span className="min-w-0 flex-1 text-soft">
              revision {run.n}, by {run.by}
            </span>
            <span>{run.count.toLocaleString('en-GB')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
