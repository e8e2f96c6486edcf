import type { Schema } from '../../api';
import { counted, day } from '../../ui';
import { useSent } from '../export';
import { mayWrite, useMe } from '../session';
import { useTroubles } from './api';

/** What does not work as it should, and where that is told. */
export type Stopped = { title: string; to: string; why: string };

/** So many days a letter that could not be handed over is told of. */
const DAYS = 7;

/**
 * Letters that could not be handed over, and alerts and sources that do not go as they should; those
 * come to themselves again, which is told for some days, too.
 */
export function useStopped(here: Schema['GroupView']): Stopped[] {
  const group = here.id;
  const troubles = useTroubles(group).data ?? [];
  const sent = useSent(group, null, mayWrite(here)).data ?? [];
  const returned = useMe().data?.lettersReturned ?? 0;
  const since = Date.parse(here.today) - DAYS * 86_400_000;
  return [
    ...(returned > 0
      ? [
          {
            title: 'Letters to you come back',
            to: 'account',
            why: `${counted(returned, 'letter')} so far; after five none is written any more`,
          },
        ]
      : []),
    ...sent
      .filter((one) => Date.parse(one.at) >= since)
      .flatMap((one) =>
        one.letters
          .filter((letter) => letter.state === 'given up')
          .map((letter) => ({
            title: `A letter to ${letter.to} could not be handed over`,
            to: 'sent',
            why: `${one.name}: ${letter.trouble ?? ''}`,
          })),
      ),
    ...troubles.map(({ title, place, why, since: began, mended }) => ({
      title: mended ? `${title} goes again` : title,
      to: place,
      why: mended ? `since ${day(mended)}, after ${day(began)}. It was: ${why}` : why,
    })),
  ];
}
