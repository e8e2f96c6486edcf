import { Link, useParams } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { owedIn, useRounds } from './api';
import { Board } from './Board';
import { RoundPane } from './RoundPane';

/** Rounds above, the arrivals of one of them below: the first in which something waits. */
export function ArrivalsPage() {
  const { round = '' } = useParams();
  const here = useHere();
  const rounds = useRounds(here.id);
  if (rounds.error) return <Failed error={rounds.error} again={() => void rounds.refetch()} />;
  if (!rounds.data) return <Waiting what="arrivals" />;
  const waiting = rounds.data.find((one) => owedIn(one, here.me.id) > 0);
  const shown = round || (waiting ?? rounds.data[0])?.id || '';
  if (!shown) {
    return (
      <div className="page">
        <title>Arrivals · Quiet Lantern</title>
        <Title help="arrivals">Arrivals</Title>
        <p className="mt-3 text-soft">
          Nothing has come yet.{' '}
          <Link className="act" to={`/g/${here.id}/alerts`}>
            Alerts
          </Link>{' '}
          bring what is new here, round by round.
        </p>
      </div>
    );
  }
  return (
    <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
      <title>Arrivals · Quiet Lantern</title>
      <h1 className="sr-only">Arrivals</h1>
      <Board group={here} rounds={rounds.data} shown={shown} />
      <RoundPane key={shown} round={shown} />
    </div>
  );
}
