import { Link } from 'react-router';

export type WayToText = {
  what: string;
  word: string;
  address?: string | null | undefined;
  /** What is at the address: `page` and `file` are the text itself. */
  use: string;
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
  if (isReadHere(way)) {
    return (
      <Link className={look} to={`${to}/text`} title={said} aria-label={said}>
        {way.what === 'here' && !/^(open to all|yours to read)$/.test(access) ? way.word : access}
      </Link>
    );
  }
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

/** Whether a way leads to the reading place: the text is here, or can be fetched at once. */
export function isReadHere({ what, use }: WayToText): boolean {
  return what === 'here' || (['open-copy', 'version'].includes(what) && use !== 'about');
}
