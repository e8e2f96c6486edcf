import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { Act, Lamp } from '../../ui';
import { comesAgain, whatHappened } from '../arrivals';
import { useLeaf } from '../publication';
import { Remarks } from '../remarks';
import { mayWrite, useHere } from '../session';
import type { AgendaWork } from './api';
import { Decide } from './Decide';
import { outcomeOf, whyOf } from './words';

/** A work that a meeting talks about: what each said, what it comes to, and what it is. */
export function WorkAtMeeting({
  meeting,
  shown,
  place,
  onBack,
  onNext,
  isSlip,
  onDecided,
}: {
  meeting: string;
  shown: AgendaWork;
  /** "3 of 7". */
  place: string;
  onBack: (() => void) | undefined;
  onNext: (() => void) | undefined;
  isSlip: () => boolean;
  onDecided: () => void;
}) {
  const here = useHere();
  const { arrival } = shown.work;
  const { publication } = arrival;
  // Of the work before nothing is shown: it is asked for with the key of this one.
  const found = useLeaf(here.id, publication.id, null).data;
  const leaf = found?.publication.id === publication.id ? found : undefined;
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    // Whoever goes on to it reads it from the top; a page that was just opened keeps its focus.
    if (document.activeElement !== document.body) title.current?.focus({ preventScroll: true });
    title.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <article aria-label={`Work ${place}`} className="min-w-0">
      <p className="flex flex-wrap items-baseline gap-x-4 text-soft">
        <span>
          {place} · {whyOf(shown.why)}
        </span>
        <Act hint="k" disabled={!onBack} onClick={onBack}>
          Former
        </Act>
        <Act hint="j" disabled={!onNext} onClick={onNext}>
          Next
        </Act>
      </p>
      <h2
        ref={title}
        tabIndex={-1}
        className="mt-1 font-serif text-[28px] leading-[1.18] font-semibold text-balance outline-none"
      >
        {publication.title}
      </h2>
      <p className="mt-1 text-[15px] text-soft">
        {[
          leaf?.authors.join(', ') ?? publication.authors.join(', '),
          publication.where,
          publication.year,
        ]
          .filter(Boolean)
          .join(' · ')}
        {' · '}
        <Link className="act" to={`/g/${here.id}/p/${publication.id}`}>
          Its page
        </Link>
      </p>
      {comesAgain(arrival) && (
        <p className="mt-1 font-semibold text-error">{whatHappened(arrival)}</p>
      )}
      <h3 className="small-head mt-4">What each says</h3>
      <ul className="space-y-1 text-[16px]">
        {arrival.lamps.map((lamp) => (
          <li
            key={lamp.member}
            className="grid grid-cols-[20px_minmax(0,10rem)_minmax(0,1fr)] items-center gap-x-1"
          >
            <Lamp state={lamp.lamp} label={`lamp ${lamp.lamp}`} />
            <span className="truncate">
              {here.members.find(({ id }) => id === lamp.member)?.name ?? 'A former member'}
            </span>
            <span>
              {lamp.mark ? <b>{lamp.mark}</b> : <span className="text-faint">not yet</span>}{' '}
              {lamp.reason && <span className="font-serif">“{lamp.reason}”</span>}
            </span>
          </li>
        ))}
      </ul>
      {mayWrite(here) ? (
        <Decide meeting={meeting} shown={shown} leaf={leaf} isSlip={isSlip} onDecided={onDecided} />
      ) : (
        shown.outcome && (
          <p className="mt-3 text-[16px]">
            <b>{outcomeOf(shown.outcome.what)}</b> {shown.outcome.words}
          </p>
        )
      )}
      <h3 className="small-head mt-4">Abstract</h3>
      <p className="max-w-[75ch] font-serif text-[16px] leading-normal">
        {leaf ? leaf.abstractText || 'No abstract was supplied.' : 'It is on its way.'}
      </p>
      <div className="max-w-[46rem]">
        <Remarks publication={publication.id} may={leaf?.mayRemark ?? false} />
      </div>
    </article>
  );
}
