import { Link } from 'react-router';
import { shortDay } from '../../ui';
import { useHere } from '../session';
import { useDecided } from './api';

const CAME_TO: Record<string, string> = { keep: 'keep it', pass: 'pass it', open: 'leave it open' };

/** What meetings of the group came to on a publication, the last first. */
export function DecidedTogether({ publication }: { publication: string }) {
  const here = useHere();
  const decided = useDecided(here.id, publication).data ?? [];
  return decided.map((one) => (
    <p key={`${one.meeting} ${one.on}`}>
      <Link className="act" to={`/g/${here.id}/meetings/${one.meeting}`}>
        Together on {shortDay(one.at)}
      </Link>{' '}
      {one.on && `when it was ${one.on}, `}you came to <b>{CAME_TO[one.what] ?? one.what}</b>
      {one.words && <span className="text-soft"> “{one.words}”</span>}
    </p>
  ));
}
