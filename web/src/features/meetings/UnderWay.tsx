import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, listed, useAddress, useKeys } from '../../ui';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { useMeetingActs, type AgendaWork } from './api';
import { WhoIsThere } from './WhoIsThere';
import { howFar, outcomeOf, whenOf } from './words';
import { WorkAtMeeting } from './WorkAtMeeting';

/** Milliseconds within which a second key is a slip: it would decide on the next work. */
const AT_ONCE = 400;

/** One work of the agenda after another, large enough for a wall. */
export function UnderWay({
  found,
  works,
}: {
  found: Schema['MeetingShown'];
  works: readonly AgendaWork[];
}) {
  const here = useHere();
  const { meeting, present, since } = found;
  const acts = useMeetingActs(here.id, meeting);
  const address = useAddress();
  const [noting, setNoting] = useState(false);
  // Where it began for this reader: what another decides meanwhile moves nothing from under them.
  const [first] = useState(() => works.find(({ outcome }) => !outcome)?.work.arrival.id);
  const wanted = address.params.get('w') ?? first;
  const at = Math.max(
    0,
    works.findIndex(({ work }) => work.arrival.id === wanted),
  );
  const shown = works[at];
  const go = (to: number) => {
    const next = works[to];
    if (next) address.change('w', next.work.arrival.id, { replace: true, atOnce: true });
  };
  /** The next one on which nothing was written down, from here on; else of those before. */
  const goOn = () => {
    const open = works.flatMap(({ outcome }, n) => (outcome || n === at ? [] : [n]));
    const next = open.find((n) => n > at) ?? open[0];
    if (next !== undefined) go(next);
  };
  const decidedAt = useRef(-Infinity);
  const isSlip = () => {
    const now = performance.now();
    const slip = now - decidedAt.current < AT_ONCE;
    if (!slip) decidedAt.current = now;
    return slip;
  };
  useKeys({ j: () => go(at + 1), k: () => go(at - 1) });
  const names = here.members.filter(({ id }) => present.includes(id)).map(({ name }) => name);
  return (
    <div className="page">
      <title>{`Meeting, ${whenOf(meeting)} · Quiet Lantern`}</title>
      <h1 className="sr-only">Meeting, {whenOf(meeting)}</h1>
      <section aria-label="This meeting" className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <p role="status">
          <b className="font-serif text-[21px] font-semibold">{howFar(meeting)}</b>
        </p>
        <p className="text-soft">
          {names.length > 0
            ? `${listed(names)} ${names.length === 1 ? 'is' : 'are'} there`
            : 'nobody is noted as there'}
        </p>
        {mayWrite(here) && (
          <>
            <Act onClick={() => setNoting(true)}>Who is there…</Act>
            {since > 0 && (
              <Act disabled={acts.takeOn.isPending} onClick={() => acts.takeOn.mutate('on')}>
                Take on {since === 1 ? 'one' : since.toLocaleString('en-GB')} that came up since
              </Act>
            )}
            <Act disabled={acts.end.isPending} onClick={() => acts.end.mutate('end')}>
              End the meeting
            </Act>
          </>
        )}
        <Link
          className="act"
          to={`/g/${here.id}/report?of=${encodeURIComponent(`meeting:${meeting.id}`)}`}
        >
          Minutes so far
        </Link>
        <HelpLink place="meetings" />
      </section>
      {shown ? (
        <div className="mt-3 grid gap-x-8 gap-y-5 lg:grid-cols-[15rem_minmax(0,1fr)]">
          <nav aria-label="Agenda" className="order-last lg:order-first">
            <ol className="text-[13.5px]">
              {works.map(({ work: { arrival }, outcome }, n) => (
                <li key={arrival.id} className="border-b border-base-300">
                  <Link
                    replace
                    to={address.to('w', arrival.id)}
                    aria-current={n === at ? 'true' : undefined}
                    className={`block px-2 py-1.5 ${n === at ? 'bg-base-200 shadow-[inset_3px_0_0_var(--color-primary)]' : ''}`}
                  >
                    <span className="line-clamp-2">
                      {n + 1}. {arrival.publication.title}
                    </span>
                    {outcome && <b className="font-semibold">{outcomeOf(outcome.what)}</b>}
                  </Link>
                </li>
              ))}
            </ol>
          </nav>
          <WorkAtMeeting
            key={shown.work.arrival.id}
            meeting={meeting.id}
            shown={shown}
            place={`${at + 1} of ${works.length}`}
            onBack={at > 0 ? () => go(at - 1) : undefined}
            onNext={at < works.length - 1 ? () => go(at + 1) : undefined}
            isSlip={isSlip}
            onDecided={goOn}
          />
        </div>
      ) : (
        <p className="mt-3 text-soft">
          Nothing stood open when it began.
          {since > 0 && ` ${counted(since, 'work')} came up since.`}
        </p>
      )}
      {noting && (
        <WhoIsThere
          title="Who is there"
          act="Note it"
          present={present}
          giving={acts.present}
          onClose={() => setNoting(false)}
        />
      )}
    </div>
  );
}
