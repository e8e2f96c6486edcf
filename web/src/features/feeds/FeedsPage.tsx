import { Link } from 'react-router';
import { Act, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useFeeds, useFollow } from './api';
import { FeedAddress } from './FeedAddress';

/** What one can follow that is no single thing. */
const OFFERED = [
  ['alerts', 'All my alerts', 'what their closed rounds bring, each work once'],
  ['unreviewed', 'What I have not looked at', 'until your lamp on it is lit'],
  ['raised', 'What is raised', 'works that somebody brings to the others'],
  ['rounds', 'Days on which rounds close', 'for a calendar: those to come, and what still waits'],
] as const;

/** One's own feeds: what each tells, its address, and who read it last. */
export function FeedsPage() {
  const here = useHere();
  const feeds = useFeeds(here.id);
  const follow = useFollow(here.id);
  if (feeds.error) return <Failed error={feeds.error} again={() => void feeds.refetch()} />;
  if (!feeds.data) return <Waiting what="your feeds" />;
  const there = feeds.data;
  const listed = there.some((feed) => !feed.address.endsWith('.ics'));
  const offered = OFFERED.filter(([of]) => there.every((feed) => feed.of !== of));
  return (
    <div className="page">
      <title>Your feeds · Quiet Lantern</title>
      <Title help="feeds">Your feeds</Title>
      <p className="mt-1 max-w-[46rem] text-soft">
        For your own reader of feeds: copy an address, and put it into the reader where that asks
        for one. Each address is yours alone and secret: whoever has it can read the feed, until you
        revoke it. Alerts, folders and journals are followed from their own pages.
      </p>
      {there.length === 0 && <p className="mt-3">You follow nothing by a feed yet.</p>}
      <ul className="mt-2 max-w-[60rem]">
        {there.map((feed) => (
          <li key={feed.id} className="border-b border-base-300 py-3">
            <Link className="font-serif text-[16px] font-medium" to={`/g/${here.id}/${feed.place}`}>
              {feed.name}
            </Link>
            <FeedAddress group={here.id} feed={feed} />
          </li>
        ))}
      </ul>
      {listed && (
        <p className="mt-2">
          <a className="act" href={`/api/groups/${here.id}/feeds/opml`} download>
            All of them as OPML
          </a>{' '}
          <span className="text-soft">for a reader that takes in a list</span>
        </p>
      )}
      {mayWrite(here) && offered.length > 0 && (
        <section aria-label="To follow" className="mt-5">
          <h2 className="small-head">To follow</h2>
          <ul>
            {offered.map(([of, name, says]) => (
              <li key={of} className="py-1">
                <Act disabled={follow.isPending} onClick={() => follow.mutate(of)}>
                  {name}
                </Act>{' '}
                <span className="text-soft">{says}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
