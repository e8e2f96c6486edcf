import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, moment, Waiting } from '../../ui';
import { WatchAct } from '../alerts';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { sheetLimited, strategyOf } from '../strategy';
import { FollowFeed } from './FollowFeed';
import { FollowList } from './FollowList';
import { useEndFeed, useFollowed } from './followedApi';
import { Parts } from './Parts';

/** Feeds of others that the group follows: each a source of its own. */
export function FollowedPage() {
  const here = useHere();
  const followed = useFollowed(here.id);
  if (followed.error)
    return <Failed error={followed.error} again={() => void followed.refetch()} />;
  if (!followed.data) return <Waiting what="the feeds that are followed" />;
  return (
    <div className="page">
      <title>Feeds of others · Quiet Lantern</title>
      <Title help="followed" className="mb-2">
        Feeds of others
      </Title>
      <Parts />
      <p className="max-w-[46rem] text-soft">
        What journals and others announce by a feed of their own comes into the catalogue of your
        group alone, often weeks before a source has it. Alerts look at it as at anything that
        comes; what a source supplies later is the same work, and is told once.
      </p>
      {mayWrite(here) && <Following />}
      {followed.data.length === 0 && <p className="mt-3">The group follows no feed yet.</p>}
      <ul className="max-w-[52rem]">
        {followed.data.map((feed) => (
          <Followed key={feed.id} feed={feed} />
        ))}
      </ul>
    </div>
  );
}

function Following() {
  const [open, setOpen] = useState<'one' | 'list'>();
  return (
    <div className="my-2 flex flex-wrap gap-x-4">
      <Act main onClick={() => setOpen('one')}>
        Follow a feed
      </Act>
      <Act onClick={() => setOpen('list')}>Take feeds from a list</Act>
      {open === 'one' && <FollowFeed onClose={() => setOpen(undefined)} />}
      {open === 'list' && <FollowList onClose={() => setOpen(undefined)} />}
    </div>
  );
}

function Followed({ feed }: { feed: Schema['FollowedLine'] }) {
  const here = useHere();
  const end = useEndFeed(here.id);
  const line = {
    id: 'source',
    kind: 'limit' as const,
    property: 'source',
    chosen: [feed.sourceKey],
  };
  return (
    <li className="border-b border-base-300 py-3">
      <h2 className="font-serif text-[17px] font-semibold">{feed.title}</h2>
      <p className="break-words text-[13px] text-soft">{feed.address}</p>
      <p className="text-soft">
        {counted(feed.works, 'work')} came by it ·{' '}
        {feed.answered ? `answered last on ${moment(feed.answered)}` : 'not asked yet'} · followed
        by {feed.by}
        {feed.unread > 0 &&
          ` · ${counted(feed.unread, 'entry', 'entries')} of the last answer could not be taken in: no works, or more than a thousand`}
      </p>
      {feed.error && (
        <p className="text-error">
          The last try did not come through: {feed.error} It is tried again by itself.
        </p>
      )}
      <div className="flex flex-wrap gap-x-4">
        <Link className="act" to={sheetLimited(here.id, 'source', [feed.sourceKey])}>
          Search only here
        </Link>
        <WatchAct
          name={feed.title}
          strategy={strategyOf([line])}
          sheet={sheetLimited(here.id, 'source', [feed.sourceKey])}
        >
          Set an alert on it
        </WatchAct>
        {mayWrite(here) && (
          <Act
            aria-label={`End ${feed.title}`}
            disabled={end.isPending}
            onClick={() => end.mutate(feed)}
          >
            End
          </Act>
        )}
      </div>
    </li>
  );
}
