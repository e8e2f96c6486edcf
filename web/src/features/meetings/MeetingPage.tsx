import { Link, useParams } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useAgenda, useMeeting } from './api';
import { Held } from './Held';
import { Planned } from './Planned';
import { UnderWay } from './UnderWay';

/** A meeting: what it will be about, what is being decided, or what it came to. */
export function MeetingPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const found = useMeeting(here.id, id);
  const agenda = useAgenda(here.id, id);
  const error = found.error ?? agenda.error;
  if (error && !(found.data && agenda.data)) {
    return (
      <Failed
        error={error}
        again={() => {
          void found.refetch();
          void agenda.refetch();
        }}
      />
    );
  }
  if (!found.data || !agenda.data) return <Waiting what="the meeting" />;
  const outcomes = new Map(found.data.outcomes.map((one) => [one.work, one]));
  const works = agenda.data.map((one) => ({
    ...one,
    outcome: outcomes.get(one.work.arrival.id),
  }));
  const shown = { found: found.data, works };
  switch (found.data.meeting.state) {
    case 'planned':
      return <Planned {...shown} />;
    case 'under way':
      return <UnderWay key={id} {...shown} />;
    case 'over':
      return <Held {...shown} />;
    default:
      return (
        <div className="page">
          <title>Meeting · Quiet Lantern</title>
          <h1 className="font-serif text-[21px] font-semibold">This meeting was called off</h1>
          <Link className="act" to={`/g/${here.id}/meetings`}>
            Meetings
          </Link>
        </div>
      );
  }
}
