import { Link, useNavigate, useParams } from 'react-router';
import { stands } from '../../api';
import { Failed, useKeys, useNotice, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { owedIn, useRounds } from './api';
import { Board } from './Board';
import { ListLinks } from './ListLinks';
import { RoundPane } from './RoundPane';

/** Rounds above, the arrivals of one of them below: the first in which something waits. */
export function ArrivalsPage() {
  const { round = '' } = useParams();
  const here = useHere();
  const tell = useNotice();
  const navigate = useNavigate();
  const found = useRounds(here.id);
  const rounds = found.data?.pages.flatMap((page) => page.rounds) ?? [];
  const pages = found.data?.pages ?? [];
  const first = pages[0];
  const older = pages[pages.length - 1]?.older ?? 0;
  const shown = round || first?.waiting || rounds[0]?.id || '';
  const open = (id: string) => void navigate(`/g/${here.id}/r/${id}`);
  /** The next round from here on in which something waits for the member. */
  const next = () => {
    const at = rounds.findIndex((one) => one.id === shown);
    const waiting = [...rounds.slice(at + 1), ...rounds.slice(0, Math.max(0, at))].find(
      (one) => owedIn(one, here.me.id) > 0,
    );
    const id = waiting?.id ?? (first?.waiting === shown ? undefined : first?.waiting);
    if (id) open(id);
    else tell({ text: 'Nothing waits for you in any other round.' });
  };
  useKeys({ r: next });
  if (found.error && !stands(found))
    return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="arrivals" />;
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
      <Board
        group={here}
        rounds={rounds}
        shown={shown}
        older={older}
        busy={found.isFetchingNextPage}
        lists={<ListLinks />}
        onOlder={() => void found.fetchNextPage()}
      />
      <RoundPane key={shown} round={shown} onNext={next} />
    </div>
  );
}
