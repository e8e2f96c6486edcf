import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, ChoiceField, moment, useCopyText } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useChooseFeed, useRevoke } from './api';

/** What a reader may ask for; any reader knows the first. */
const FORMS = [
  { id: 'atom', name: 'Atom' },
  { id: 'rss', name: 'RSS' },
  { id: 'json', name: 'JSON Feed' },
];

/** The address of a feed, in the form that a reader wants, and who asked for it last. */
export function FeedAddress({ group, feed }: { group: string; feed: Schema['FeedLine'] }) {
  const here = useHere();
  const choose = useChooseFeed(group);
  const revoke = useRevoke(group);
  const copy = useCopyText();
  const [form, setForm] = useState('atom');
  const isCalendar = feed.address.endsWith('.ics');
  const address = feed.address.replace(/\.atom$/, `.${form}`);
  return (
    <>
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        {!isCalendar && <ChoiceField label="As" value={form} of={FORMS} onChange={setForm} />}
        <input
          readOnly
          aria-label={`Address of ${feed.name}`}
          className="field min-w-0 flex-1 basis-80 text-[13px]"
          value={address}
          onFocus={(event) => event.target.select()}
        />
        <Act onClick={() => copy(address, 'the address')}>Copy</Act>
        <Act
          disabled={revoke.isPending}
          aria-label={`Revoke ${feed.name}`}
          onClick={() => revoke.mutate(feed.id)}
        >
          Revoke
        </Act>
      </div>
      {!isCalendar && mayWrite(here) && (
        <label className="mt-1 flex min-h-[28px] w-fit items-center gap-1.5 text-[13px]">
          <input
            type="checkbox"
            checked={feed.marksSeen}
            onChange={(event) => choose.mutate({ feed: feed.id, marksSeen: event.target.checked })}
          />
          Opening an entry marks it seen
        </label>
      )}
      <p className="text-[13px] text-soft">
        {feed.fetched
          ? `Read last on ${moment(feed.fetched)} by ${feed.by || 'a reader without a name'}`
          : isCalendar
            ? 'No calendar has asked for it yet: put the address where yours subscribes to others'
            : 'No reader has asked for it yet'}
      </p>
    </>
  );
}
