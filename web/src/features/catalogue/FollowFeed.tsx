import { useState } from 'react';
import type { Schema } from '../../api';
import { counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useFollowFeeds, useLookAtFeed } from './followedApi';

/** A feed by its address: looked at, then followed. */
export function FollowFeed({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const look = useLookAtFeed(here.id);
  const follow = useFollowFeeds(here.id);
  const [address, setAddress] = useState('');
  const [looked, setLooked] = useState<{ asked: string; found: Schema['FeedLooked'] }>();
  /** What was looked at, while its address stands there. */
  const found = looked?.asked === address ? looked.found : undefined;
  return (
    <DialogForm
      title="Follow a feed"
      wide
      act={found ? 'Follow it' : 'Look'}
      leave={found ? 'Follow nothing' : 'Leave'}
      disabled={look.isPending || follow.isPending || found?.followed === true}
      error={follow.error ?? look.error}
      onSubmit={() =>
        found
          ? follow.mutate([{ address: found.address, title: found.title }], { onSuccess: onClose })
          : look.mutate(address, {
              onSuccess: (answer, asked) => setLooked({ asked, found: answer }),
            })
      }
      onClose={onClose}
    >
      <label className="mt-3 block">
        <span className="small-head">Address of the feed (RSS or Atom)</span>
        <input
          required
          type="url"
          className="field block w-full"
          placeholder="https://"
          value={address}
          onChange={(event) => setAddress(event.target.value)}
        />
      </label>
      <p role="status" className="mt-1 text-[13px] text-soft">
        {look.isPending && 'Asking …'}
        {found && says(found)}
      </p>
      {found && <First entries={found.first} />}
    </DialogForm>
  );
}

function says(found: Schema['FeedLooked']): string {
  return [
    found.followed ? 'The group follows it already.' : '',
    `“${found.title || 'Without a title'}” has ${counted(found.works, 'work')}` +
      (found.here > 0 ? `, ${found.here} of them here already by their DOI.` : '.'),
    found.left > 0 ? `${counted(found.left, 'entry', 'entries')} cannot be taken in.` : '',
  ]
    .filter((part) => part)
    .join(' ');
}

/** The first entries as works. */
function First({ entries }: { entries: Schema['FeedEntryShown'][] }) {
  return (
    <ul aria-label="How its first entries are read" className="mt-2">
      {entries.map((entry, n) => (
        <li key={n} className="border-b border-base-300 py-1">
          <span className="font-serif font-medium">{entry.title}</span>
          <span className="block text-[13px] text-soft">
            {[entry.who, entry.where, entry.date, entry.here ? 'here already' : '']
              .filter((part) => part)
              .join(' · ')}
          </span>
        </li>
      ))}
    </ul>
  );
}
