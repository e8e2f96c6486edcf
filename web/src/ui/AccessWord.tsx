import { Link } from 'react-router';

export type WayToText = {
  what: string;
  word: string;
  address?: string | null | undefined;
  ground: string;
  state: string;
};

/** How the group comes to a publication, in one of five words; the word is the first way there. */
export function AccessWord({
  access,
  way,
  to,
}: {
  access: string;
  way?: WayToText | null | undefined;
  /** The page of the publication. */
  to: string;
}) {
  if (!way) return access;
  const look =
    'inline-block py-[2.5px] underline decoration-base-300 underline-offset-2 hover:decoration-current';
  const said = `${access}: ${way.word}, ${way.ground}`;
  return way.address ? (
    <>
      <a
        className={look}
        href={way.address}
        target="_blank"
        rel="noreferrer"
        title={said}
        aria-label={said}
      >
        {access}
      </a>
      {way.state === 'asks for sign-in' && ', asks for sign-in'}
    </>
  ) : (
    <Link className={look} to={`${to}#ways`} title={said} aria-label={said}>
      {access}
    </Link>
  );
}
