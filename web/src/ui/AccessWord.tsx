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

/** Ways that are nearer than the word of access tells: for one member alone, or in print. */
const NEARER = ['here', 'publisher', 'shelf'];

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
  const readable = access === 'open to all' || access === 'yours to read';
  const shown = !readable && NEARER.includes(way.what) ? way.word : access;
  if (isReadHere(way)) {
    return (
      <Link className={look} to={`${to}/text`} title={said} aria-label={said}>
        {shown}
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
        {shown}
      </a>
      {way.state === 'asks for sign-in' && ', asks for sign-in'}
    </>
  ) : (
    <Link className={look} to={`${to}#ways`} title={said} aria-label={said}>
      {shown}
    </Link>
  );
}

/** Whether a way leads to the reading place: the text is here, or can be fetched at once. */
export function isReadHere({ what, use }: WayToText): boolean {
  return what === 'here' || (['open-copy', 'version'].includes(what) && use !== 'about');
}
