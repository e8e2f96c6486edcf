import { useState } from 'react';
import { Link, Navigate, useLocation } from 'react-router';
import type { Schema } from '../../api';
import { Act, Failed, people, Waiting } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useAskDescribed, useDescribed } from './api';
import { RequestLine } from './RequestLine';
import { isOpen } from './requests';

/** What a link of others (OpenURL) means here: the publication, what it may be, or a copy request. */
export function DescribedPage() {
  const here = useHere();
  const query = useLocation().search.slice(1);
  const meant = useDescribed(here.id, query);
  if (meant.error) return <Failed error={meant.error} />;
  if (!meant.data) return <Waiting what="what the link means" />;
  const { found, citation, title, alike } = meant.data;
  if (found) return <Navigate to={`/g/${here.id}/p/${found}`} replace />;
  return (
    <article className="page max-w-[75ch]">
      <title>What a link means · Quiet Lantern</title>
      <h1 className="font-serif text-[21px] leading-[1.22] font-semibold">What the link means</h1>
      {citation ? (
        <>
          <p className="mt-2 font-serif">{citation}</p>
          <Alike alike={alike} />
          <p className="mt-3 flex flex-wrap gap-x-4">
            <Link
              className="act"
              to={`/g/${here.id}/search?add=${encodeURIComponent(wordsOf(title))}`}
            >
              Search for its title
            </Link>
          </p>
          <Asking described={query} meant={meant.data} />
        </>
      ) : (
        <p className="mt-2">
          The link describes no work: it has neither a number nor a title that could be looked up.{' '}
          <Link className="act" to={`/g/${here.id}/search`}>
            Search instead
          </Link>
        </p>
      )}
    </article>
  );
}

/** Words that a line of the sheet takes as words and as nothing else. */
function wordsOf(title: string): string {
  return `title: (${title
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase()})`;
}

function Alike({ alike }: { alike: Schema['Summary'][] }) {
  const here = useHere();
  if (alike.length === 0) return <p className="mt-2">It is not in the catalogue.</p>;
  return (
    <section aria-label="What it may be">
      <h2 className="small-head mt-3">What it may be</h2>
      <ul>
        {alike.map((one) => (
          <li key={one.id} className="py-0.5">
            <Link className="font-serif hover:underline" to={`/g/${here.id}/p/${one.id}`}>
              {one.title}
            </Link>
            <span className="text-soft">
              {' '}
              {people(one.authors)} · {one.where} · {one.year ?? 'no year'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Asking({ described, meant }: { described: string; meant: Schema['MeantShown'] }) {
  const here = useHere();
  const ask = useAskDescribed(here.id);
  const [note, setNote] = useState('');
  const open = meant.requests.some(isOpen);
  return (
    <>
      {meant.requests.length > 0 && (
        <ul aria-label="Copy requests" className="mt-2">
          {meant.requests.map((request) => (
            <li key={request.id}>
              <RequestLine request={request} />
            </li>
          ))}
        </ul>
      )}
      {mayWrite(here) && !open && (
        <form
          className="mt-3"
          onSubmit={(event) => {
            event.preventDefault();
            ask.mutate({ described, note });
          }}
        >
          <label className="block">
            What the library should know besides
            <input
              className="field mt-1 block w-full max-w-[40rem]"
              maxLength={1000}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </label>
          <p className="mt-1">
            <Act type="submit" main disabled={ask.isPending}>
              Ask for a copy
            </Act>
            <span className="text-soft">
              {' '}
              as it stands above, of {meant.lender || 'a library that one of you carries it to'}.
            </span>
          </p>
          {ask.error && (
            <p role="alert" className="text-error">
              {ask.error.message}
            </p>
          )}
        </form>
      )}
    </>
  );
}
