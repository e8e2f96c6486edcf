import { useEffect, useRef } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, Failed, Waiting } from '../../ui';
import { useLeaf, useOpening } from '../publication';
import { mayWrite, useHere } from '../session';
import { useText, useTexts } from '../text';
import { useFetchText } from './api';
import { Reader } from './Reader';

/** The reading place of a publication: the text that the group has, or one that is fetched now. */
export function ReadingPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const [params] = useSearchParams();
  const leaf = useLeaf(here.id, id, null).data;
  const texts = useTexts(here.id, id);
  const { mutate: open } = useOpening(here.id);
  const present = leaf?.publication.id === id ? leaf : undefined;
  const isHere = present !== undefined;
  useEffect(() => {
    if (isHere) open({ publication: id });
  }, [isHere, id, open]);
  if (texts.error) return <Failed error={texts.error} />;
  if (!texts.data || !present) return <Waiting what="the text" />;
  const { copies, offered } = texts.data;
  const copy = copies.find((one) => one.id === params.get('in')) ?? copies[0];
  return (
    <>
      <title>{`Text of ${present.publication.title} · Quiet Lantern`}</title>
      {copy ? (
        <Opened key={copy.id} leaf={present} copy={copy} texts={texts.data} />
      ) : (
        <Fetch key={id} leaf={present} offered={offered} />
      )}
    </>
  );
}

function Opened({
  leaf,
  copy,
  texts,
}: {
  leaf: Schema['Leaf'];
  copy: Schema['CopyShown'];
  texts: Schema['TextsHere'];
}) {
  const here = useHere();
  const text = useText(here.id, copy.id);
  if (text.error) return <Failed error={text.error} />;
  if (!text.data) return <Waiting what="the text" />;
  return <Reader leaf={leaf} text={text.data} texts={texts} />;
}

/** Nothing is here yet: an open text is fetched at once, whoever comes; otherwise the ways are told. */
function Fetch({ leaf, offered }: { leaf: Schema['Leaf']; offered: Schema['WayShown'][] }) {
  const here = useHere();
  const fetching = useFetchText(here.id, leaf.publication.id);
  const { mutate } = fetching;
  const asked = useRef(false);
  const may = mayWrite(here) && offered.length > 0;
  useEffect(() => {
    if (may && !asked.current) {
      asked.current = true;
      mutate(null);
    }
  }, [may, mutate]);
  const page = `/g/${here.id}/p/${leaf.publication.id}`;
  return (
    <article className="page max-w-[60ch]">
      <h1 className="font-serif text-[21px] leading-[1.22] font-semibold">
        {leaf.publication.title}
      </h1>
      {fetching.isPending && (
        <p role="status" className="mt-2">
          The text is being fetched from {place(offered[0])} …
        </p>
      )}
      {fetching.error && (
        <div role="alert" className="mt-2">
          <p className="text-error">{fetching.error.message}</p>
          <Act onClick={() => mutate(null)}>Try once more</Act>
        </div>
      )}
      {!may && <p className="mt-2">Your group has no text of it here.</p>}
      {offered.map((way) => (
        <p key={way.address} className="mt-1">
          <a className="act" href={way.address ?? ''} target="_blank" rel="noreferrer">
            Open it where it is
          </a>{' '}
          <span className="text-soft">
            {place(way)}, {way.ground}
          </span>
        </p>
      ))}
      <p className="mt-2">
        <Link className="act" to={`${page}#ways`}>
          All ways to the text
        </Link>
      </p>
    </article>
  );
}

function place(way: Schema['WayShown'] | undefined): string {
  return way?.address ? new URL(way.address).host : 'where it is';
}
