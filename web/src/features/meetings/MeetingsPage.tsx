import { useState } from 'react';
import { Link } from 'react-router';
import { Act, clock, Failed, shortDay, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useCallMeeting, useMeetings, type Meeting } from './api';
import { CallDialog } from './CallDialog';
import { howFar, standOpen, whenOf } from './words';

/** The group's meetings: those ahead, and what came of those of before. */
export function MeetingsPage() {
  const here = useHere();
  const meetings = useMeetings(here.id);
  const call = useCallMeeting(here.id);
  const [calling, setCalling] = useState(false);
  const [first] = meetings.data?.pages ?? [];
  if (meetings.error && !first)
    return <Failed error={meetings.error} again={() => void meetings.refetch()} />;
  if (!first) return <Waiting what="meetings" />;
  const over = (meetings.data?.pages ?? []).flatMap((page) => page.over);
  return (
    <div className="page">
      <title>Meetings · Quiet Lantern</title>
      <Title help="meetings">Meetings of {here.name}</Title>
      <p className="mt-1 max-w-[65ch]">
        {first.standing === 0
          ? 'Nothing stands open: nothing is raised, and nobody passed what another keeps.'
          : `${standOpen(first.standing)}: raised by somebody, or kept by one and passed by another. A meeting goes through them and decides together.`}
      </p>
      <p className="mt-1 flex flex-wrap gap-x-4">
        {mayWrite(here) && (
          <Act main onClick={() => setCalling(true)}>
            Call a meeting…
          </Act>
        )}
        <Link className="act" to={`/g/${here.id}/arrivals/raised`}>
          Raised
        </Link>
        <Link className="act" to={`/g/${here.id}/arrivals/disputed`}>
          We disagree
        </Link>
      </p>
      {first.ahead.length > 0 && (
        <>
          <h2 className="small-head mt-5">Ahead</h2>
          <Lines meetings={first.ahead} />
        </>
      )}
      {over.length > 0 && (
        <>
          <h2 className="small-head mt-5">Held</h2>
          <Lines meetings={over} />
        </>
      )}
      {meetings.hasNextPage && (
        <Act disabled={meetings.isFetchingNextPage} onClick={() => void meetings.fetchNextPage()}>
          Earlier ones
        </Act>
      )}
      {calling && (
        <CallDialog
          title="Call a meeting"
          act="Call it"
          begun={{ day: first.today, time: '14:00', place: '' }}
          zone={here.zone}
          giving={call}
          onClose={() => setCalling(false)}
        />
      )}
    </div>
  );
}

function Lines({ meetings }: { meetings: readonly Meeting[] }) {
  const here = useHere();
  return (
    <ul className="max-w-[52rem]">
      {meetings.map((meeting) => (
        <li key={meeting.id} className="border-b border-base-300 py-2">
          <Link
            className="font-serif text-[16px] font-medium"
            to={`/g/${here.id}/meetings/${meeting.id}`}
          >
            {whenOf(meeting)}
          </Link>
          <p className="text-[13px] text-soft">
            {meeting.state === 'under way' && <b className="font-semibold">under way · </b>}
            {howFar(meeting)} · called by {meeting.by}
            {meeting.state === 'planned' &&
              meeting.sent &&
              ` · agenda sent on ${shortDay(meeting.sent)} at ${clock(meeting.sent)}`}
          </p>
        </li>
      ))}
    </ul>
  );
}
