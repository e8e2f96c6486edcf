import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schema } from '../../api';
import { Act, day, isReadHere } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useRequestsOf, useWays, useWrote } from './api';
import { AskForCopy } from './AskForCopy';
import { BringText } from './BringText';
import { letter } from './letter';
import { RequestLine } from './RequestLine';

/** All ways to the text, the first to be tried first, each with what is known of it. */
export function Ways({ leaf }: { leaf: Schema['Leaf'] }) {
  const here = useHere();
  const asked = useWays(here.id, leaf.publication.id);
  const ways = asked.data ?? [];
  const isHere = ways.some((way) => way.what === 'here');
  const section = useRef<HTMLElement>(null);
  const { hash } = useLocation();
  const led = hash === '#ways' && asked.isSuccess;
  useEffect(() => {
    // Who was led here by the word of access need not look for it.
    if (led) section.current?.scrollIntoView({ block: 'center' });
  }, [led]);
  return (
    <section ref={section} id="ways" aria-label="Ways to the text" className="scroll-mt-16">
      <h3 className="small-head mt-3">Ways to the text</h3>
      {ways.length === 0 && (
        <p className="text-soft">
          {leaf.publication.access}: {leaf.publication.ground}
        </p>
      )}
      <ul>
        {ways.map((way) => (
          <li key={way.what + (way.address ?? '')} className="py-px">
            <Step way={way} leaf={leaf} isHere={isHere} />
          </li>
        ))}
      </ul>
      {mayWrite(here) && <Bring publication={leaf.publication.id} />}
      <Requests publication={leaf.publication.id} />
    </section>
  );
}

function Step({
  way,
  leaf,
  isHere,
}: {
  way: Schema['WayShown'];
  leaf: Schema['Leaf'];
  /** Whether the text is here already, so that nothing has to be fetched. */
  isHere: boolean;
}) {
  if (way.what === 'here') {
    return (
      <>
        <ReadHere publication={leaf.publication.id} />
        <span className="text-soft">
          {' '}
          {way.ground}, the {way.version} version
        </span>
      </>
    );
  }
  if (way.address) {
    return (
      <>
        {!isHere && isReadHere(way) && way.state !== 'dead' && (
          <>
            <ReadHere publication={leaf.publication.id} />
            <span className="text-soft"> or </span>
          </>
        )}
        <a
          className={way.state === 'dead' ? 'text-soft line-through' : 'act'}
          href={way.movedTo ?? way.address}
          target="_blank"
          rel="noreferrer"
        >
          {way.word}
        </a>
        <span className="text-soft">
          {' '}
          {way.ground}
          {way.what !== 'library' && ` · ${where(way.address)}`}
          {known(way)}
        </span>
      </>
    );
  }
  if (way.what === 'shelf') {
    return (
      <>
        {way.word}
        <span className="text-soft"> {way.ground}</span>
      </>
    );
  }
  if (way.what === 'author') {
    return <Write way={way} leaf={leaf} />;
  }
  return <Ask way={way} leaf={leaf} />;
}

function ReadHere({ publication }: { publication: string }) {
  const here = useHere();
  return (
    <Link className="act" to={`/g/${here.id}/p/${publication}/text`}>
      read here
    </Link>
  );
}

function Ask({ way, leaf }: { way: Schema['WayShown']; leaf: Schema['Leaf'] }) {
  const here = useHere();
  const [asking, setAsking] = useState(false);
  return (
    <>
      {mayWrite(here) ? <Act onClick={() => setAsking(true)}>{way.word}</Act> : way.word}
      <span className="text-soft"> {way.ground}</span>
      {asking && <AskForCopy leaf={leaf} ground={way.ground} onClose={() => setAsking(false)} />}
    </>
  );
}

/** A letter that the member's own mail program sends; that it was sent, the member says. */
function Write({ way, leaf }: { way: Schema['WayShown']; leaf: Schema['Leaf'] }) {
  const here = useHere();
  const wrote = useWrote(here.id);
  const [opened, setOpened] = useState(false);
  const { id, title } = leaf.publication;
  return (
    <>
      <a
        className="act"
        href={letter(leaf.authors[0] ?? '', title, leaf.citation, here.me.name)}
        onClick={() => setOpened(true)}
      >
        {way.word}
      </a>
      <span className="text-soft"> {way.ground}, with the citation filled in</span>{' '}
      {opened && mayWrite(here) && (
        <Act
          disabled={wrote.isPending}
          onClick={() => wrote.mutate(id, { onSuccess: () => setOpened(false) })}
        >
          I sent it: note it for the group
        </Act>
      )}
    </>
  );
}

/** A member who has the file already brings it in for the group. */
function Bring({ publication }: { publication: string }) {
  const [bringing, setBringing] = useState(false);
  return (
    <p>
      <Act onClick={() => setBringing(true)}>bring a file in</Act>
      <span className="text-soft"> for your group alone</span>
      {bringing && <BringText publication={publication} onClose={() => setBringing(false)} />}
    </p>
  );
}

/** What the group asked for before. */
function Requests({ publication }: { publication: string }) {
  const here = useHere();
  const requests = useRequestsOf(here.id, publication).data ?? [];
  if (requests.length === 0) return null;
  return (
    <ul aria-label="Copy requests" className="mt-1">
      {requests.map((request) => (
        <li key={request.id}>
          <RequestLine request={request} />
        </li>
      ))}
    </ul>
  );
}

/** The place, as people name it. */
function where(address: string): string {
  return new URL(address).host;
}

/** How it answered when it was tried. */
function known({ state, tried, good }: Schema['WayShown']): string {
  switch (state) {
    case 'works':
      return tried ? ` · works, tried on ${day(tried)}` : '';
    case 'asks for sign-in':
      return ' · asks for sign-in';
    case 'moved':
      return ' · has moved, the new address is used';
    case 'dead':
      return good ? ` · dead, worked last on ${day(good)}` : ' · dead when it was tried';
    default:
      return '';
  }
}
