import type { RefObject } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, useNotice } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFetchText, useTakeOutText } from './api';
import { PageBox } from './PageBox';

/** What is read, where one is in it, and what can be done. */
export function Bar({
  leaf,
  text,
  texts,
  page,
  onPage,
  typed,
  onType,
  findBox,
  count,
  at,
  onTurn,
  zoom,
  onZoom,
  onCite,
  onBack,
  open,
  onOpen,
}: {
  leaf: Schema['Leaf'];
  text: Schema['TextShown'];
  texts: Schema['TextsHere'];
  page: number;
  onPage: (page: number) => void;
  typed: string;
  onType: (words: string) => void;
  findBox: RefObject<HTMLInputElement | null>;
  /** How many places; null while nothing is looked for. */
  count: number | null;
  at: number;
  onTurn: (by: number) => void;
  zoom: number;
  onZoom: (by: number) => void;
  onCite: () => void;
  onBack: () => void;
  open: string;
  onOpen: (what: 'text' | 'beside' | 'margin') => void;
}) {
  const here = useHere();
  const { publication } = leaf;
  return (
    <header className="border-b border-base-300 bg-base-200 px-4 py-1.5 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-0.5">
        <h1 className="max-w-full min-w-0 truncate font-serif text-[15.5px] font-semibold lg:max-w-[400px]">
          <Link to={`/g/${here.id}/p/${publication.id}`} title={publication.title}>
            {publication.title}
          </Link>
        </h1>
        {text.labels.length > 1 && <PageBox labels={text.labels} page={page} onPage={onPage} />}
        <Forms text={text} texts={texts} />
        <span className="flex items-baseline gap-1">
          <input
            ref={findBox}
            aria-label="Find in the text"
            placeholder="Find in the text"
            className="field min-h-[26px] w-40 py-0.5"
            value={typed}
            onChange={(event) => onType(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') onTurn(event.shiftKey ? -1 : 1);
              if (event.key === 'Escape') event.currentTarget.blur();
            }}
          />
          <span role="status" className="min-w-20 text-soft">
            {count !== null && counted(count, 'place')}
            {count !== null && at >= 0 && `, no. ${at + 1}`}
          </span>
        </span>
        <span className="flex flex-wrap gap-x-3 lg:ml-auto">
          {count !== null && count > 0 && (
            <>
              <Act hint="." onClick={() => onTurn(1)}>
                Next
              </Act>
              <Act hint="," onClick={() => onTurn(-1)}>
                Former
              </Act>
            </>
          )}
          <Act hint="−" aria-label="Smaller" onClick={() => onZoom(-1)}>
            A
          </Act>
          <Act hint="0" aria-label="Size that fits" onClick={() => onZoom(0)}>
            {Math.round(zoom * 100)} %
          </Act>
          <Act hint="+" aria-label="Larger" className="text-[17px]" onClick={() => onZoom(1)}>
            A
          </Act>
          <Act hint="c" onClick={onCite}>
            Citation
          </Act>
          <a className="act" href={`/api/groups/${here.id}/texts/${text.copy.id}/file`} download>
            Download
          </a>
          <Act hint="u" onClick={onBack}>
            Back
          </Act>
        </span>
        <span className="flex gap-x-3 lg:hidden">
          {(['text', 'beside', 'margin'] as const).map((what) => (
            <Act key={what} aria-pressed={open === what} onClick={() => onOpen(what)}>
              {what === 'beside' ? 'parts' : what}
            </Act>
          ))}
        </span>
      </div>
      <About copy={text.copy} />
    </header>
  );
}

/** The same text in the other forms that the group has, or that can be fetched. */
function Forms({ text, texts }: { text: Schema['TextShown']; texts: Schema['TextsHere'] }) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const fetching = useFetchText(here.id, text.copy.publication);
  const tell = useNotice();
  const others = texts.copies.filter((one) => one.id !== text.copy.id);
  const known = texts.copies.map((one) => one.address);
  const more = texts.offered.filter((way) => !known.includes(way.address ?? null));
  const show = (id: string) => {
    const next = new URLSearchParams(params);
    next.set('in', id);
    setParams(next, { replace: true });
  };
  const fetch = (address: string) =>
    fetching.mutate(address, {
      onSuccess: ({ copies }) => {
        const come = copies.find((one) => one.address === address);
        if (come) show(come.id);
      },
      onError: (error) => tell({ text: error.message }),
    });
  return (
    <span className="flex flex-wrap items-baseline gap-x-3 text-soft">
      {others.map((one) => (
        <Act key={one.id} onClick={() => show(one.id)}>
          {form(one.form === 'pdf', one.version, text.copy.version)}
        </Act>
      ))}
      {mayWrite(here) &&
        more.map((way) => (
          <Act
            key={way.address}
            disabled={fetching.isPending}
            onClick={() => fetch(way.address ?? '')}
          >
            {fetching.isPending
              ? 'being fetched …'
              : form(way.use === 'file', way.version, text.copy.version)}
          </Act>
        ))}
    </span>
  );
}

/** What else there is: its form, and its version where that is another. */
function form(isFile: boolean, version: string, now: string): string {
  return (isFile ? 'as file' : 'as page') + (version === now ? '' : ` (${version})`);
}

const DOUBTS: Record<string, string> = {
  'other work':
    'Neither the title nor the DOI of this work stands in its first pages: it may be the text of another one.',
  abstract: 'Hardly more than the abstract is in it: the text itself may be elsewhere.',
};

/** Where it is from and what is odd about it. */
function About({ copy }: { copy: Schema['CopyShown'] }) {
  const here = useHere();
  const takeOut = useTakeOutText(here.id);
  const mayTakeOut = mayWrite(here) && (copy.origin === 'brought in' || copy.doubt);
  return (
    <p className="text-[12.5px] text-soft">
      {copy.version} version, {copy.origin} by {copy.by}
      {copy.address && ` from ${new URL(copy.address).host}`}
      {copy.origin === 'brought in' && ` (${copy.name}), for your group alone`}
      {copy.licence && `; ${copy.licence}`}.{' '}
      {!copy.hasWords && (
        <strong className="font-semibold">
          It has no words that could be found or chosen: its pages are pictures.{' '}
        </strong>
      )}
      {copy.doubt && <strong className="font-semibold text-error">{DOUBTS[copy.doubt]} </strong>}
      {mayTakeOut && <Act onClick={() => takeOut.mutate(copy.id)}>Take it out</Act>}
    </p>
  );
}
