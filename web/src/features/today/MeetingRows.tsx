import type { Schema } from '../../api';
import { counted } from '../../ui';
import { useMeetings, whenOf } from '../meetings';
import { useHere } from '../session';
import { Waits } from './Waits';

/** Days before a meeting from which on it is told. */
const SOON = 7;

/** Meetings of the next days, and one that is under way. */
export function useMeetingsSoon(): Schema['MeetingLine'][] {
  const here = useHere();
  const [first] = useMeetings(here.id).data?.pages ?? [];
  const last = new Date(Date.parse(here.today) + SOON * 86_400_000).toISOString().slice(0, 10);
  return (first?.ahead ?? []).filter(
    ({ day, state }) => state === 'under way' || (day >= here.today && day <= last),
  );
}

export function MeetingRows({ meetings }: { meetings: readonly Schema['MeetingLine'][] }) {
  const here = useHere();
  return meetings.map((one) => (
    <Waits
      key={`meeting ${one.id}`}
      n={one.works}
      title={
        one.state === 'under way' ? 'The group meets now' : `The group meets on ${whenOf(one)}`
      }
      to={`/g/${here.id}/meetings/${one.id}`}
      act={one.state === 'under way' ? 'Join' : 'See the agenda'}
    >
      {one.state === 'under way'
        ? `${one.decided} of ${counted(one.works, 'work')} decided`
        : `called by ${one.by}`}
    </Waits>
  ));
}
