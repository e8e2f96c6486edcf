import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFeeds, useRevoke, useSubscribe } from './api';

/** A member's own address of the alert for a feed reader. */
export function FeedOfAlert({ group, alert }: { group: string; alert: string }) {
  const here = useHere();
  const feeds = useFeeds(group);
  const subscribe = useSubscribe(group);
  const revoke = useRevoke(group);
  if (!mayWrite(here) || !feeds.data) return null;
  const feed = feeds.data.find((one) => one.alert === alert);
  return (
    <section aria-label="Feed" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">Feed</h2>
      <p className="text-soft">
        An Atom feed of the closed rounds, for your own reader. The address is yours alone and
        secret: whoever has it can read the feed, until you revoke it.
      </p>
      {feed ? (
        <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
          <input
            readOnly
            aria-label="Address of my feed"
            className="field min-w-0 flex-1 basis-80 text-[13px]"
            value={feed.address}
            onFocus={(event) => event.target.select()}
          />
          <Act disabled={revoke.isPending} onClick={() => revoke.mutate(feed.id)}>
            Revoke
          </Act>
        </div>
      ) : (
        <Act
          main
          className="mt-2"
          disabled={subscribe.isPending}
          onClick={() => subscribe.mutate(alert)}
        >
          Make my address
        </Act>
      )}
    </section>
  );
}
