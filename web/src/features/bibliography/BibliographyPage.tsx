import { useState } from 'react';
import { useParams } from 'react-router';
import { Act, Choice, counted, Failed, useAddress, useKeys, Waiting } from '../../ui';
import { useCopyCited } from '../citing';
import { LeaveActs } from '../export';
import { Faces } from '../folders';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { useEntryActs } from './actsApi';
import { fetchCopied, fileOf, useBibliography, type Said } from './api';
import { ChaptersDialog } from './ChaptersDialog';
import { Entries } from './Entries';
import { HowDialog } from './HowDialog';
import { OnDrive } from './OnDrive';
import { Since } from './Since';

/** Which annotations the address asks for. */
function saidIn(params: URLSearchParams): Said {
  const said = params.get('said');
  return said === 'agreed' || said === 'none' ? said : '';
}

/** A folder as a bibliography: its entries in a style, what is wrong in them, the ways out. */
export function BibliographyPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const { params, changeAll, to } = useAddress();
  const tried = { style: params.get('style') ?? '', language: params.get('language') ?? '' };
  const tries = Boolean(tried.style || tried.language);
  const said = saidIn(params);
  const since = params.get('since');
  const show = (next: Record<string, string>) => changeAll(next, { replace: true });
  const found = useBibliography(here.id, id, tried);
  const { mendCertain } = useEntryActs(here.id, id);
  const copy = useCopyCited();
  const [asked, setAsked] = useState(false);
  const [heads, setHeads] = useState(false);
  const copyAll = () => copy('all entries', () => fetchCopied(here.id, id, tried, said));
  useKeys({ c: copyAll });
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  const pages = found.data?.pages ?? [];
  const first = pages[0];
  if (!first || first.folder !== id) return <Waiting what="the bibliography" />;
  const { count, certain, faulty, comparedCount } = first;
  const sets = mayWrite(here) && first.may === 'edit';
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(min(16rem,60vh),1fr)] overflow-y-auto">
      <title>{`Bibliography of ${first.name} · Quiet Lantern`}</title>
      <div>
        <div className="bar">
          <h1 className="font-serif text-[21px] font-semibold">{first.name}</h1>
          <Faces folder={id} on="bibliography" />
          <Act onClick={() => setAsked(true)}>Style and order</Act>
          {sets && <Act onClick={() => setHeads(true)}>Headings</Act>}
          <Choice
            on={since !== null}
            to={since === null ? to('since', 'month') : to('since', '', 'since')}
          >
            What changed
          </Choice>
          {tries && <Act onClick={() => show({ style: '', language: '' })}>As it is set</Act>}
          {count > 0 && (
            <>
              <Act hint="c" onClick={copyAll}>
                Copy all
              </Act>
              <a className="act" href={fileOf(here.id, id, 'docx', tried, said)}>
                DOCX
              </a>
              <a className="act" href={fileOf(here.id, id, 'html', tried, said)}>
                Web page
              </a>
              <a className="act" href={fileOf(here.id, id, 'text', tried, said)}>
                Plain text
              </a>
              {mayWrite(here) && <OnDrive folder={id} said={said} />}
              <LeaveActs
                of={() => ({ folder: id, order: 'hand' })}
                annotations={said === '' ? 'all' : said}
              />
            </>
          )}
          <HelpLink place="bibliography" />
        </div>
        <div className="bar">
          <p role="status">
            <b className="font-serif text-[17px]">{count}</b> {count === 1 ? 'entry' : 'entries'},{' '}
            {comparedCount} compared
            <span className="text-soft">
              {' · '}
              {first.style.title}
              {first.style.checked && ', checked'}
              {first.language && `, in ${first.language}`}
              {' · '}
              {first.sorted ? 'in the order of the style' : 'in the order of the folder'}
              {tries && ' · only you see it so'}
            </span>
          </p>
          {faulty > 0 && (
            <b className="text-warning">{counted(faulty, 'entry', 'entries')} to be looked at</b>
          )}
          {first.annotated > 0 && (
            <label className="flex items-baseline gap-x-2">
              <span className="small-head">Annotations</span>
              <select
                className="field"
                value={said}
                onChange={(event) => show({ said: event.target.value })}
              >
                <option value="">all {first.annotated}</option>
                <option value="agreed">{first.agreed} agreed</option>
                <option value="none">none</option>
              </select>
              {first.toBeRead > 0 && <span>{first.toBeRead} to be read</span>}
            </label>
          )}
          {certain > 0 && sets && !tries && (
            <Act disabled={mendCertain.isPending} onClick={() => mendCertain.mutate(certain)}>
              Mend the {certain} that {certain === 1 ? 'is' : 'are'} certain
            </Act>
          )}
        </div>
        {first.missing.length > 0 && (
          <p className="px-4 py-1 text-soft lg:px-6">
            This style uses what is not done here: {first.missing.join(', ')}.
          </p>
        )}
        {first.empty.length > 0 && (
          <p className="px-4 py-1 lg:px-6">
            The style prints nothing of {counted(first.empty.length, 'work')}; files leave{' '}
            {first.empty.length === 1 ? 'it' : 'them'} out.
          </p>
        )}
      </div>
      <div id="list" tabIndex={-1} className="min-h-0 outline-none">
        {since !== null ? (
          <Since
            folder={id}
            day={since === 'month' ? '' : since}
            onDay={(day) => show({ since: day })}
          />
        ) : count === 0 || first.entries.length === 0 ? (
          <p className="p-6 text-soft">
            {count === 0
              ? 'Nothing is kept here yet.'
              : 'This style has notes alone, and no bibliography. Choose another one, or cite the works one by one.'}
          </p>
        ) : (
          <Entries
            folder={id}
            entries={pages.flatMap((page) => page.entries)}
            count={count}
            layout={first.layout}
            chapters={first.chapters}
            said={said}
            edits={sets}
            fresh={!found.isPlaceholderData}
            onEnd={() => {
              if (found.hasNextPage && !found.isFetchingNextPage) void found.fetchNextPage();
            }}
          />
        )}
      </div>
      {heads && (
        <ChaptersDialog folder={id} chapters={first.chapters} onClose={() => setHeads(false)} />
      )}
      {asked && (
        <HowDialog bibliography={first} sets={sets} onTry={show} onClose={() => setAsked(false)} />
      )}
    </div>
  );
}
