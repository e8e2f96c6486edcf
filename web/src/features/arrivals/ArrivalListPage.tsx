import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { stands } from '../../api';
import { Act, Failed, Waiting } from '../../ui';
import { HelpLink } from '../help';
import { useJustSaid } from '../publication';
import { useHere } from '../session';
import { useArrivalList } from './api';
import { ArrivalsPane } from './ArrivalsPane';
import { learnedFrom } from './because';
import { LetRest } from './LetRest';
import { Like } from './Like';
import { ListLinks } from './ListLinks';
import { IN_PART, LISTS, SHOWN } from './lists';
import { afterSaid, nameOf, type Entry } from './occasions';
import { useSteady } from './useSteady';

/** Rows that are still to come into sight when the next page is fetched. */
const AHEAD = 10;

/** Arrivals of all rounds that have something in common. */
export function ArrivalListPage() {
  const { list = '' } = useParams();
  const [params] = useSearchParams();
  const show = IN_PART.includes(list) ? (params.get('show') ?? '') : '';
  return <Shown key={`${list} ${show}`} list={list} show={show} />;
}

function Shown({ list, show }: { list: string; show: string }) {
  const here = useHere();
  const [resting, setResting] = useState(false);
  const found = useArrivalList(here.id, list, show);
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
        {IN_PART.includes(list) && count > 1 && <ShowPart show={show} />}
        {list === 'owed' && count > 0 && <Act onClick={() => setResting(true)}>Let rest…</Act>}
        {(list === 'raised' || list === 'disputed') && count > 0 && (
          <Link className="act" to={`/g/${here.id}/meetings`}>
            Decide together
          </Link>
        )}
        <Link className="act" to={`/g/${here.id}/arrivals`}>
          By round
        </Link>
        <HelpLink place="arrivals" />
        <ListLinks shown={list} />
        {pages[0]?.learned && (
          <p className="basis-full text-soft">
            {learnedFrom(pages[0].learned)}
            {count > entries.length && ` These are the first ${entries.length}.`}
          </p>
        )}
      </section>
      {entries.length > 0 ? (
        <ArrivalsPane
          label={named?.label ?? ''}
          entries={entries}
          kept={show ? { show } : {}}
          goesOn
          below={(entry) => (
            <>
              <Like because={entry.arrival.because} />
              <Where entry={entry} gone={isGone(entry)} />
            </>
          )}
          onSaid={said}
          onSight={sight}
        />
      ) : (
        <p className="page text-soft">
          {show === 'said' && count > 0 ? 'Others keep and raise nothing of it.' : named?.none}
        </p>
      )}
      {resting && <LetRest onClose={() => setResting(false)} />}
    </div>
  );
}

/** Which of the list, and in which order. */
function ShowPart({ show }: { show: string }) {
  const [, setParams] = useSearchParams();
  return (
    <select
      aria-label="What is shown"
      className="min-h-[24px] cursor-pointer bg-base-100 text-soft"
      value={show}
      onChange={(event) =>
        setParams(event.target.value ? { show: event.target.value } : {}, { replace: true })
      }
    >
      {SHOWN.map((one) => (
        <option key={one.show} value={one.show}>
          {one.label}
        </option>
      ))}
    </select>
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
