import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act, day } from '../../ui';
import { useHere } from '../session';
import { useAwayActs } from './awayApi';

type Member = Schema['MemberShown'];

/** When members are away: one's own days, for coordinators everybody's. */
export function Away({ members }: { members: readonly Member[] }) {
  const here = useHere();
  const { remove } = useAwayActs(here.id);
  const may = members.filter((one) => one.role !== 'guest' && (one.me || coordinates(here)));
  if (may.length === 0) return null;
  return (
    <section aria-label="Away" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Away</h2>
      <p className="mt-1 max-w-[65ch] text-soft">
        What comes on days on which somebody is away is not theirs to review, and they get no
        letters. What they owed before stays.
      </p>
      <ul>
        {may.flatMap((member) =>
          member.away.map((away) => (
            <li
              key={away.id}
              className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1.5"
            >
              <span className="flex-1">
                {member.name}, {daysOf(away)}
              </span>
              <Act
                disabled={remove.isPending}
                aria-label={`Not away: ${member.name}, ${daysOf(away)}`}
                onClick={() => remove.mutate(away.id)}
              >
                Not away
              </Act>
            </li>
          )),
        )}
      </ul>
      <AwayForm members={may} />
    </section>
  );
}

function coordinates(here: Schema['GroupView']): boolean {
  return here.me.role === 'coordinator';
}

function daysOf({ from, to }: { from: string; to?: string | null }): string {
  return to ? `${day(from)} to ${day(to)}` : `from ${day(from)} on`;
}

function AwayForm({ members }: { members: readonly Member[] }) {
  const here = useHere();
  const { add } = useAwayActs(here.id);
  const [member, setMember] = useState(here.me.id);
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (add.isPending) return;
    add.mutate(
      { member, from, to: to || null },
      {
        onSuccess: () => {
          setFrom('');
          setTo('');
        },
      },
    );
  };
  return (
    <form onSubmit={submit} className="mt-2 flex flex-wrap items-end gap-3">
      {members.length > 1 && (
        <label>
          <span className="small-head">Who</span>
          <select
            className="field block"
            value={member}
            onChange={(event) => setMember(event.target.value)}
          >
            {members.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <label>
        <span className="small-head">First day</span>
        <input
          type="date"
          required
          className="field block"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
      </label>
      <label>
        <span className="small-head">Last day (may be left out)</span>
        <input
          type="date"
          className="field block"
          min={from}
          value={to}
          onChange={(event) => setTo(event.target.value)}
        />
      </label>
      <button type="submit" className="act act-main mb-0.5" disabled={add.isPending}>
        Note it
      </button>
      {add.error && (
        <p role="alert" className="text-error">
          {add.error.message}
        </p>
      )}
    </form>
  );
}
