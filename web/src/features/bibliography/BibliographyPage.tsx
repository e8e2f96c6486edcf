import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Act, counted, Failed, useKeys, Waiting } from '../../ui';
import { CitedEntry, useCopyCited } from '../citing';
import { Faces } from '../folders';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { fetchCopied, fileOf, useBibliography, type Tried } from './api';
import { HowDialog } from './HowDialog';

/** A folder as a bibliography: its entries in a style, and the ways to take them along. */
export function BibliographyPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const tried = { style: params.get('style') ?? '', language: params.get('language') ?? '' };
  const show = (next: Tried) =>
    setParams(new URLSearchParams(Object.entries(next).filter(([, value]) => value)), {
      replace: true,
    });
  const found = useBibliography(here.id, id, tried);
  const copy = useCopyCited();
  const [asked, setAsked] = useState(false);
  const copyAll = () => copy('all entries', () => fetchCopied(here.id, id, tried));
  useKeys({ c: copyAll });
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  const first = found.data?.pages[0];
  if (!first || first.folder !== id) return <Waiting what="the bibliography" />;
  const entries = found.data?.pages.flatMap((page) => page.entries) ?? [];
  const sets = mayWrite(here) && first.may === 'edit';
  const left = first.count - entries.length;
  return (
    <div className="printed h-full overflow-y-auto">
      <title>{`Bibliography of ${first.name} · Quiet Lantern`}</title>
      <div className="bar">
        <h1 className="font-serif text-[21px] font-semibold">{first.name}</h1>
        <Faces folder={id} on="bibliography" />
        <HelpLink place="bibliography" />
      </div>
      <div className="bar">
        <p role="status">
          <b className="font-serif text-[17px]">{first.count}</b>{' '}
          {first.count === 1 ? 'entry' : 'entries'}
          <span className="text-soft">
            {' · '}
            {first.style.title}
            {first.language && `, in ${first.language}`}
            {' · '}
            {first.sorted ? 'in the order of the style' : 'in the order of the folder'}
            {(tried.style || tried.language) && ' · only you see it so'}
          </span>
        </p>
        <Act onClick={() => setAsked(true)}>Style and order</Act>
        {(tried.style || tried.language) && (
          <Act onClick={() => show({ style: '', language: '' })}>As it is set</Act>
        )}
        {first.count > 0 && (
          <>
            <Act hint="c" onClick={copyAll}>
              Copy all
            </Act>
            <a className="act" href={fileOf(here.id, id, 'docx', tried)}>
              DOCX
            </a>
            <a className="act" href={fileOf(here.id, id, 'html', tried)}>
              Web page
            </a>
            <a className="act" href={fileOf(here.id, id, 'text', tried)}>
              Plain text
            </a>
            <Act onClick={() => window.print()}>Print</Act>
          </>
        )}
      </div>
      {first.missing.length > 0 && (
        <p className="px-4 pt-2 text-soft lg:px-6">
          This style uses what is not done here: {first.missing.join(', ')}.
        </p>
      )}
      {first.empty.length > 0 && (
        <p className="px-4 pt-2 lg:px-6">
          The style prints nothing of {counted(first.empty.length, 'work')}; files leave{' '}
          {first.empty.length === 1 ? 'it' : 'them'} out.
        </p>
      )}
      {first.count === 0 && <p className="p-6 text-soft">Nothing is kept here yet.</p>}
      <ol
        id="list"
        tabIndex={-1}
        className={`max-w-[60rem] px-4 py-3 outline-none transition-opacity delay-150 lg:px-6 ${
          found.isPlaceholderData ? 'opacity-60' : ''
        }`}
      >
        {entries.map((entry) => (
          <li
            key={entry.publication}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-6 py-1.5 [content-visibility:auto] [contain-intrinsic-size:auto_56px]"
          >
            <CitedEntry parts={entry.parts} layout={first.layout} />
            <Link
              className="act self-start text-[13px] print:hidden"
              to={`/g/${here.id}/p/${entry.publication}`}
            >
              Open
            </Link>
          </li>
        ))}
      </ol>
      {found.hasNextPage && (
        <p className="px-4 pb-6 lg:px-6">
          <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
            {`Show ${Math.min(left, 200)} more of ${counted(left, 'entry', 'entries')}`}
          </Act>
        </p>
      )}
      {asked && (
        <HowDialog bibliography={first} sets={sets} onTry={show} onClose={() => setAsked(false)} />
      )}
    </div>
  );
}
