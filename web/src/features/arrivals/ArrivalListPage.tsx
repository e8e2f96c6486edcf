import { Link, useParams } from 'react-router';
import { stands } from '../../api';
import { Failed, Waiting } from '../../ui';
import { HelpLink } from '../help';
import { useJustSaid } from '../publication';
import { useHere } from '../session';
import { useArrivalList } from './api';
import { ArrivalsPane } from './ArrivalsPane';
import { ListLinks } from './ListLinks';
import { LISTS } from './lists';
import { afterSaid, nameOf, type Entry } from './occasions';
import { useSteady } from './useSteady';

/** Rows that are still to come into sight when the next page is fetched. */
const AHEAD = 10;

/** Arrivals of all rounds that have something in common. */
export function ArrivalListPage() {
  const { list = '' } = useParams();
  return <Shown key={list} list={list} />;
}

function Shown({ list }: { list: string }) {
  const here = useHere();
  const found = useArrivalList(here.id, list);
  const pages = found.data?.pages ?? [];
  const justSaid = useJustSaid(here);
  const { entries, isGone, said } = useSteady(
    pages.flatMap((page) =>
      page.arrivals.map((one) => ({
        ...one,
        arrival: afterSaid(one.arrival, justSaid.get(one.arrival.id), here.me.id),
      })),
    ),
    here.me.id,
  );
  if (found.error && !stands(found))
    return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="the list" />;
  const named = LISTS.find((one) => one.list === list);
  const count = pages[0]?.count ?? 0;
  const sight = (last: number) => {
    const near = last >= entries.length - AHEAD;
    if (near && found.hasNextPage && !found.isFetchingNextPage) void found.fetchNextPage();
  };
  return (
    <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
      <title>{`${named?.label} · Quiet Lantern`}</title>
      <h1 className="sr-only">{named?.label}</h1>
      <section aria-label="This list" className="bar">
        <p role="status">
          <b className="font-serif text-[21px] font-semibold">{count.toLocaleString('en-GB')}</b>{' '}
          {named?.label.toLowerCase()}
        </p>
        <Link className="act" to={`/g/${here.id}/arrivals`}>
          By round
        </Link>
        <HelpLink place="arrivals" />
        <ListLinks shown={list} />
      </section>
      {entries.length > 0 ? (
        <ArrivalsPane
          label={named?.label ?? ''}
          entries={entries}
          goesOn
          below={(entry) => <Where entry={entry} gone={isGone(entry)} />}
          onSaid={said}
          onSight={sight}
        />
      ) : (
        <p className="page text-soft">{named?.none}</p>
      )}
    </div>
  );
}

/** The round that an arrival stands in, and whether it has left the list since. */
function Where({ entry, gone }: { entry: Entry; gone: boolean }) {
  const here = useHere();
  return (
    <p className="text-[13px] text-faint">
      {entry.round ? (
        <Link className="act" to={`/g/${here.id}/r/${entry.round.id}?p=${nameOf(entry)}`}>
          {entry.round.alertName}, round {entry.round.n}
        </Link>
      ) : (
        'found by no alert'
      )}
      {gone && ' · no more in this list'}
    </p>
  );
}
