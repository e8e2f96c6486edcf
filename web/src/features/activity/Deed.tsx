import { Link } from 'react-router';
import type { Schema } from '../../api';
import { pieces } from './words';

/** What was done, by whom; the titles of what it concerns lead there. */
export function Deed({ deed, group }: { deed: Schema['DeedShown']; group: string }) {
  return (
    <>
      <b className="font-semibold">{deed.who ?? 'The lantern'}</b>{' '}
      {pieces(deed, group).map((piece, at) =>
        piece.to ? (
          <Link key={at} className="font-serif text-[15.5px]" to={piece.to}>
            {piece.text}
          </Link>
        ) : (
          <span key={at}>{piece.text}</span>
        ),
      )}
      {deed.times > 1 && deed.publications <= 1 && (
        <span className="text-soft">, {deed.times.toLocaleString('en-GB')} times</span>
      )}
    </>
  );
}
