import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, day } from '../../ui';
import { WatchAuthors, WatchLine } from '../alerts';
import { useHere } from '../session';
import { sheetHolding, sheetWith } from '../strategy';
import { useOutward } from './api';
import { Elsewhere } from './Elsewhere';

/** The ways from a publication to others; each leads to a list that can be searched on. */
export function Outward({ publication }: { publication: Schema['Summary'] }) {
  const here = useHere();
  const outward = useOutward(here.id, publication.id).data;
  if (!outward) return null;
  const address = (way: Schema['Way']) =>
    way.line.kind === 'held'
      ? sheetHolding(here.id, way.line.strategies?.[0] ?? '')
      : sheetWith(here.id, way.line.text ?? '');
  const ways = outward.ways.filter((way) => way.what !== 'author');
  const authors = outward.ways.filter((way) => way.what === 'author' && way.count > 1);
  return (
    <section aria-label="Outward">
      <h3 className="small-head mt-3">Outward</h3>
      <ul className="flex flex-wrap items-baseline gap-x-5">
        {ways.map((way) => (
          <li key={way.what} className="flex gap-x-3">
            {way.count > 0 ? (
              <Link className="act" to={address(way)}>
                {said(way, outward.references, publication.year)}
              </Link>
            ) : (
              <span className="text-soft">{said(way, outward.references, publication.year)}</span>
            )}
            {way.what === 'citedby' && (
              <WatchLine name={`Citing ${publication.title}`} line={way.line.text ?? ''}>
                Set an alert on what cites it
              </WatchLine>
            )}
          </li>
        ))}
      </ul>
      {authors.length > 0 && (
        <p>
          <span className="text-soft">By the same author: </span>
          {authors.map((way, at) => (
            <span key={way.name}>
              {at > 0 && ' · '}
              <Link className="act" to={address(way)}>
                {way.name} {way.count.toLocaleString('en-GB')}
              </Link>
            </span>
          ))}
        </p>
      )}
      <WatchAuthors
        publication={publication.id}
        names={outward.ways.filter((way) => way.what === 'author').map((way) => way.name)}
      />
      {outward.authorsLeft > 0 && (
        <p className="text-[13px] text-soft">
          {counted(outward.authorsLeft, 'further author')} not looked up
        </p>
      )}
      {outward.elsewhere.length > 0 && <Elsewhere dois={outward.elsewhere} citing={publication} />}
      <p className="text-[13px] text-soft">counted in what was here on {day(outward.counted)}</p>
      {outward.closest.length > 0 && (
        <ul aria-label="Most alike" className="mt-1">
          {outward.closest.map((like) => (
            <li key={like.id} className="py-0.5">
              <Link className="font-serif hover:underline" to={`/g/${here.id}/p/${like.id}`}>
                {like.title}
              </Link>
              <span className="block text-[13px] text-soft">{like.ground}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function said(
  way: Schema['Way'],
  references: number | null | undefined,
  year: number | null | undefined,
): string {
  const n = way.count.toLocaleString('en-GB');
  switch (way.what) {
    case 'cites':
      return references == null
        ? 'no source tells what it cites'
        : `cites ${counted(references, 'work')}, ${n} of them here`;
    case 'citedby':
      return way.count === 0 && year ? `cited by 0 here, out since ${year}` : `cited by ${n} here`;
    default:
      return `alike ${n}`;
  }
}
