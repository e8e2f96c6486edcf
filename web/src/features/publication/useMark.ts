import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { api, body, commandHeader, keys, leaveForLater, VISIT_ENDED, type Schema } from '../../api';
import { counted, useNotice } from '../../ui';
import type { MarkWord } from './marks';
import { outboxOf, type MarkMade, type Said, type Told, type Unsent } from './outbox';

/** Milliseconds after which an answer is not waited for any more. */
const LONGEST = 20_000;

const SAID: Record<MarkWord, string> = {
  keep: 'Kept',
  pass: 'Passed',
  raise: 'Raised for the group',
  hold: 'Held: unsure',
  'hold for text': 'Held until its text can be read',
  seen: 'Marked as seen',
  rest: 'Let rest',
};

/** How many a mark was made on, where it is more than one. */
function many(n: number): string {
  return n > 1 ? `: ${counted(n, 'publication')}` : '';
}

function useSending(here: Schema['GroupView']) {
  const client = useQueryClient();
  const tell = useNotice();
  const group = here.id;
  const outbox = outboxOf(group, here.me.id);
  const post = async ({ command, made }: Unsent) =>
    body(
      await api.POST('/api/groups/{group}/marks', {
        params: { path: { group }, header: commandHeader(command) },
        body: made,
        // It may be sent again under its name.
        signal: AbortSignal.timeout(LONGEST),
      }),
    );
  const follow = () => client.invalidateQueries({ queryKey: keys.living(group) });
  const told: Told = {
    waits: ({ command, made }) =>
      tell({
        text: `${SAID[made.mark]}${many(made.publications.length)}. It is sent as soon as the server can be reached.`,
        command,
      }),
    sent: ({ command, made }, { folder, note, publications }, late) => {
      const what = folder ? `Kept in ${folder}` : SAID[made.mark];
      if (!late) tell({ text: `${what}${many(publications)}. ${note}`.trim(), command });
      else if (note || outbox.waiting() === 0)
        tell({ text: `What waited was sent. ${note}`.trim() });
      return follow();
    },
    refused: ({ made, title }, why) => {
      const of = title ? `“${title}”` : counted(made.publications.length, 'publication');
      tell({ text: `Not marked: ${of}. ${why.message}`, bad: true });
      void follow();
    },
    ended: (those) => {
      those.forEach(({ made }) => leaveForLater({ what: 'mark', group, mark: made }));
      tell({ text: VISIT_ENDED, bad: true });
    },
  };
  return { outbox, pump: () => outbox.pump(post, told) };
}

/**
 * Marks go out one after the other, in the order in which they were made, and are kept until the
 * server has them ({@link Outbox}).
 */
export function useMark(here: Schema['GroupView']) {
  const { outbox, pump } = useSending(here);
  return (made: MarkMade, title = '') => {
    outbox.add(made, title);
    pump();
  };
}

/** What the member said that lists may not know yet, by name. */
export function useJustSaid(here: Schema['GroupView']): ReadonlyMap<string, Said> {
  const outbox = outboxOf(here.id, here.me.id);
  return useSyncExternalStore(outbox.subscribe, outbox.said);
}

/** Sends what a page before left, and what waits once the network is there again. */
export function useUnsent(here: Schema['GroupView']) {
  const { outbox, pump } = useSending(here);
  const waiting = useSyncExternalStore(outbox.subscribe, outbox.waiting);
  useEffect(() => {
    pump();
    window.addEventListener('online', pump);
    return () => window.removeEventListener('online', pump);
    // Once a group; what it closes over does the same each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [outbox]);
  return { waiting, again: pump };
}
