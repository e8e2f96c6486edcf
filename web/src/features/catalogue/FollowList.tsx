import { useState } from 'react';
import { ChooseFile, counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useFollowFeeds, useReadList } from './followedApi';

/** Feeds of a list that another reader wrote (OPML): ticked, then followed with one act. */
export function FollowList({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const read = useReadList(here.id);
  const follow = useFollowFeeds(here.id);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const feeds = (read.data?.feeds ?? []).filter((feed) => !feed.followed);
  const wanted = feeds.filter((feed) => !left.has(feed.address));
  const known = (read.data?.feeds.length ?? 0) - feeds.length;
  const take = async (file: File | undefined) => {
    setLeft(new Set());
    if (file) read.mutate(await file.text());
  };
  const turn = (address: string) =>
    setLeft((now) => {
      const next = new Set(now);
      if (!next.delete(address)) next.add(address);
      return next;
    });
  return (
    <DialogForm
      title="Take feeds from a list"
      wide
      act={wanted.length > 0 ? `Follow ${counted(wanted.length, 'feed')}` : 'Follow them'}
      leave="Follow nothing"
      disabled={follow.isPending || read.isPending || wanted.length === 0}
      error={follow.error ?? read.error}
      onSubmit={() =>
        follow.mutate(
          wanted.map(({ address, title }) => ({ address, title })),
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <p className="mt-2 text-soft">
        Readers of feeds write what they follow into a file (OPML). Nothing is fetched before you
        follow it.
      </p>
      <p className="mt-2">
        <ChooseFile
          label="A list of feeds"
          accept=".opml,.xml"
          onChosen={(files) => void take(files[0])}
        >
          Choose a file
        </ChooseFile>
      </p>
      <p role="status" className="mt-1 text-[13px] text-soft">
        {read.data &&
          [
            counted(read.data.feeds.length, 'feed'),
            known > 0 ? `${known} of them followed already` : '',
            read.data.left > 0
              ? `${read.data.left} more in the file are not shown: take them from a shorter one`
              : '',
          ]
            .filter((part) => part)
            .join(', ')}
      </p>
      <ul aria-label="Feeds of the list">
        {feeds.map((feed) => (
          <li key={feed.address}>
            <label className="flex gap-x-2 py-1">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={!left.has(feed.address)}
                onChange={() => turn(feed.address)}
              />
              <span className="min-w-0">
                {feed.title || feed.address}
                {feed.title && (
                  <span className="block break-words text-[13px] text-soft">{feed.address}</span>
                )}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </DialogForm>
  );
}
