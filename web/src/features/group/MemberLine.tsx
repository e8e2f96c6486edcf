import type { Schema } from '../../api';
import { Act, day } from '../../ui';
import { awayWords, useHere } from '../session';
import { useGroupActs } from './api';

export const ROLES = ['coordinator', 'member', 'guest'] as const;

/** Somebody who is in the group, and what coordinators do with them. */
export function MemberLine({
  member,
  coordinates,
}: {
  member: Schema['MemberShown'];
  coordinates: boolean;
}) {
  const here = useHere();
  const { role, end } = useGroupActs(here.id);
  const { id, name, me } = member;
  const now = here.members.find((one) => one.id === id);
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1.5">
      <span className="min-w-[10rem] flex-1">
        <b className="font-semibold">{name}</b>
        {me && <span className="text-soft"> (you)</span>}
        {now?.librarian && <span className="text-soft"> · librarian</span>}
        {now?.away && <span className="text-soft"> · {awayWords(now.away)}</span>}
        {member.onlyFolders && <span className="text-soft"> · of single folders only</span>}
        {member.email && <span className="block text-[13px] text-soft">{member.email}</span>}
      </span>
      <span className="text-[13px] text-soft">since {day(member.joined)}</span>
      {coordinates ? (
        <select
          aria-label={`Role of ${name}`}
          className="field"
          value={member.role}
          disabled={role.isPending}
          onChange={(event) => role.mutate({ member: id, role: event.target.value, name })}
        >
          {ROLES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      ) : (
        <span className="text-soft">{member.role}</span>
      )}
      {coordinates && (
        <span className="w-14">
          {!me && (
            <Act
              aria-label={`End the membership of ${name}`}
              disabled={end.isPending}
              onClick={() => end.mutate({ member: id, name, leaves: false })}
            >
              End it
            </Act>
          )}
        </span>
      )}
    </li>
  );
}
