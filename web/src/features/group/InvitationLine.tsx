import type { Schema } from '../../api';
import { Act, day, moment } from '../../ui';
import { useHere } from '../session';
import { useGroupActs } from './api';

/** Somebody who was asked and did not come yet. */
export function InvitationLine({
  invitation,
  as,
  again,
}: {
  invitation: Schema['InvitationShown'];
  /** As what they were asked. */
  as: string;
  /** Sends another letter; null while one is being sent. */
  again: (() => void) | null;
}) {
  const here = useHere();
  const { takeBack } = useGroupActs(here.id);
  const { id, email, by, at, until, expired, letter, trouble } = invitation;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1.5">
      <span className="min-w-[10rem] flex-1">
        <b className="font-semibold">{email}</b> <span className="text-soft">{as}</span>
        <span className="block text-[13px] text-soft">
          asked by {by} on {day(at)};{' '}
          {expired ? 'its seven days are over' : `the link works until ${moment(until)}`}
        </span>
        <span className={`block text-[13px] ${letter === 'given up' ? 'text-error' : 'text-soft'}`}>
          {LETTER[letter] ?? letter}
          {trouble && `: ${trouble}`}
        </span>
      </span>
      <Act
        aria-label={`Send another letter to ${email}`}
        disabled={again === null}
        onClick={() => again?.()}
      >
        Send another
      </Act>
      <Act
        aria-label={`Take the invitation of ${email} back`}
        disabled={takeBack.isPending}
        onClick={() => takeBack.mutate(id)}
      >
        Take it back
      </Act>
    </li>
  );
}

const LETTER: Record<string, string> = {
  waiting: 'the letter waits to be sent',
  sent: 'the letter is sent',
  'given up': 'the letter could not be sent',
};
