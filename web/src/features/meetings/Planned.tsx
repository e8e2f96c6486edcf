import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, clock, counted, shortDay } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { AgendaLines } from './AgendaLines';
import { useMeetingActs, type AgendaWork } from './api';
import { CallDialog } from './CallDialog';
import { WhoIsThere } from './WhoIsThere';
import { whenOf } from './words';

/** Before it begins: its agenda is what stands open now. */
export function Planned({
  found,
  works,
}: {
  found: Schema['MeetingShown'];
  works: readonly AgendaWork[];
}) {
  const here = useHere();
  const { meeting, more } = found;
  const acts = useMeetingActs(here.id, meeting);
  const [open, setOpen] = useState<'' | 'begin' | 'move'>('');
  const close = () => setOpen('');
  return (
    <div className="page">
      <title>{`Meeting, ${whenOf(meeting)} · Quiet Lantern`}</title>
      <Title help="meetings">{whenOf(meeting)}</Title>
      <p className="mt-1 text-soft">
        Called by {meeting.by}
        {meeting.sent &&
          ` · agenda sent by mail on ${shortDay(meeting.sent)} at ${clock(meeting.sent)}`}
      </p>
      <p className="mt-1 flex flex-wrap gap-x-4">
        {mayWrite(here) && (
          <>
            <Act main onClick={() => setOpen('begin')}>
              Begin…
            </Act>
            <Act disabled={acts.mail.isPending} onClick={() => acts.mail.mutate('mail')}>
              Send the agenda to all members
            </Act>
            <Act onClick={() => setOpen('move')}>Another time or place…</Act>
            <Act disabled={acts.callOff.isPending} onClick={() => acts.callOff.mutate('off')}>
              Call it off
            </Act>
          </>
        )}
        <Link className="act" to={`/g/${here.id}/meetings`}>
          All meetings
        </Link>
      </p>
      <h2 className="small-head mt-5">
        {works.length === 0 ? 'Agenda' : `Agenda, ${counted(works.length, 'work')}`}
      </h2>
      <p className="max-w-[65ch] text-soft">
        {works.length === 0
          ? 'Nothing stands open now. What is raised until it begins comes onto the agenda, and what one keeps and another passes.'
          : 'What stands open now; it stands for good when the meeting begins.'}
        {more > 0 &&
          ` ${more.toLocaleString('en-GB')} more stand open, and come on as these are decided.`}
      </p>
      <AgendaLines said works={works} />
      {open === 'begin' && (
        <WhoIsThere title="Begin the meeting" act="Begin" giving={acts.begin} onClose={close}>
          Its agenda stands from now on. Whoever is there has seen what is decided.
        </WhoIsThere>
      )}
      {open === 'move' && (
        <CallDialog
          title="Another time or place"
          act="Change it"
          begun={meeting}
          zone={here.zone}
          giving={acts.move}
          onClose={close}
        />
      )}
    </div>
  );
}
