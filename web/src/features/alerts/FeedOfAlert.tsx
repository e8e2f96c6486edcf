import { useState } from 'react';
import { Act, ChoiceField } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFeeds, useRevoke, useSubscribe } from './api';

/** What a reader may ask for; any reader knows the first. */
const FORMS = [
  { id: 'atom', name: 'Atom' },
  { id: 'rss', name: 'RSS' },
  { id: 'json', name: 'JSON Feed' },
];

/** A member's own address of the alert for a feed reader. */
export function FeedOfAlert({ group, alert }: { group: string; alert: string }) {
  const here = useHere();
  const feeds = useFeeds(group);
  const subscribe = useSubscribe(group);
  const revoke = useRevoke(group);
  const [form, setForm] = useState('atom');
  if (!mayWrite(here) || !feeds.data) return null;
  const feed = feeds.data.find((one) => one.alert === alert);
  return (
    <section aria-label="Feed" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">Feed</h2>
      <p className="text-soft">
        The closed rounds, for your own reader of feeds: put the address into it where it asks for
        one. The address is yours alone and secret: whoever has it can read the feed, until you
        revoke it.
      </p>
      {feed ? (
        <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
          <ChoiceField label="As" value={form} of={FORMS} onChange={setForm} />
          <input
            readOnly
            aria-label="Address of my feed"
            className="field min-w-0 flex-1 basis-80 text-[13px]"
            value={feed.address.replace(/\.atom$/, `.${form}`)}
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
