import { Act } from '../../ui';
import { FeedAddress, useFeeds, useFollow } from '../feeds';
import { mayWrite, useHere } from '../session';

/** A member's own addresses of the alert for a feed reader: its closed rounds, or as it gathers. */
export function FeedOfAlert({ group, alert }: { group: string; alert: string }) {
  const here = useHere();
  const feeds = useFeeds(group);
  const follow = useFollow(group);
  if (!mayWrite(here) || !feeds.data) return null;
  const of = (kind: string) => feeds.data.find((one) => one.of === `${kind}:${alert}`);
  const closed = of('alert');
  const gathering = of('gathering');
  return (
    <section aria-label="Feed" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">Feed</h2>
      <p className="text-soft">
        For your own reader of feeds: put the address into it where it asks for one. The address is
        yours alone and secret: whoever has it can read the feed, until you revoke it.
      </p>
      {closed && <FeedAddress group={group} feed={closed} />}
      {gathering && <FeedAddress group={group} feed={gathering} />}
      <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        {!closed && (
          <Act main disabled={follow.isPending} onClick={() => follow.mutate(`alert:${alert}`)}>
            Make my address
          </Act>
        )}
        {!gathering && (
          <Act disabled={follow.isPending} onClick={() => follow.mutate(`gathering:${alert}`)}>
            One that tells before its rounds close
          </Act>
        )}
      </p>
    </section>
  );
}
