import { Link } from 'react-router';
import type { Schema } from '../../api';
import { clock, listed } from '../../ui';
import { Title } from '../help';
import { ReportActs } from '../report';
import { useHere } from '../session';
import { AgendaLines } from './AgendaLines';
import type { AgendaWork } from './api';
import { howFar, whenOf } from './words';

/** What a meeting came to, and its minutes to be taken along. */
export function Held({
  found,
  works,
}: {
  found: Schema['MeetingShown'];
  works: readonly AgendaWork[];
}) {
  const here = useHere();
  const { meeting, present } = found;
  const names = here.members.filter(({ id }) => present.includes(id)).map(({ name }) => name);
  return (
    <div className="page">
      <title>{`Meeting, ${whenOf(meeting)} · Quiet Lantern`}</title>
      <Title help="meetings">{whenOf(meeting)}</Title>
      <p className="mt-1">
        {meeting.begun && meeting.ended && (
          <span className="text-soft">
            Held from {clock(meeting.begun)} to {clock(meeting.ended)}.{' '}
          </span>
        )}
        {names.length > 0
          ? `${listed(names)} ${names.length === 1 ? 'was' : 'were'} there`
          : 'Nobody was noted'}
        ; {howFar(meeting)}.
      </p>
      <p className="mt-1 flex flex-wrap gap-x-4">
        <ReportActs of={`meeting:${meeting.id}`}>
          <Link
            className="act act-main"
            to={`/g/${here.id}/report?of=${encodeURIComponent(`meeting:${meeting.id}`)}`}
          >
            Minutes
          </Link>
        </ReportActs>
        <Link className="act" to={`/g/${here.id}/meetings`}>
          All meetings
        </Link>
      </p>
      <h2 className="small-head mt-5">What it came to</h2>
      {works.length === 0 && <p className="text-soft">There was nothing on the agenda.</p>}
      <AgendaLines works={works} />
    </div>
  );
}
