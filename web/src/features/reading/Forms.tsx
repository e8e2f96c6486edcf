import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, useNotice } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFetchText, useTakeOutText } from './api';

/** The same text in the other forms that the group has, or that can be fetched. */
export function Forms({ text, texts }: { text: Schema['TextShown']; texts: Schema['TextsHere'] }) {
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
export function About({ copy }: { copy: Schema['CopyShown'] }) {
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
