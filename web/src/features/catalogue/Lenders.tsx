import { useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { useHere } from '../session';
import { useLend, useLenders } from '../text';
import { ChangeLender } from './ChangeLender';

type Lender = Schema['LenderShown'];

/** Who lends to the group, the one first that is asked first; a coordinator says it. */
export function Lenders({ usual }: { usual: Schema['UsualWait'][] }) {
  const here = useHere();
  const lenders = useLenders(here.id).data;
  const lend = useLend(here.id);
  const [changing, setChanging] = useState<number | null>(null);
  if (!lenders) return null;
  const may = here.me.role === 'coordinator';
  const changed = changing === null ? undefined : lenders[changing];
  return (
    <section aria-label="Who lends" className="max-w-[75ch] text-soft">
      {lenders.length === 0 && <p>Nobody lends to your group.</p>}
      <ol className="list-inside list-decimal">
        {lenders.map((lender, n) => (
          <li key={lender.name}>
            {said(lender, usual.find((one) => one.lender === lender.name)?.usual)}{' '}
            {may && (
              <span className="inline-flex gap-x-3">
                <Act onClick={() => setChanging(n)}>Change</Act>
                {n > 0 && (
                  <Act disabled={lend.isPending} onClick={() => lend.mutate(earlier(lenders, n))}>
                    Ask it earlier
                  </Act>
                )}
                {lenders.length > 1 && (
                  <Act
                    disabled={lend.isPending}
                    onClick={() => lend.mutate(lenders.filter((other) => other !== lender))}
                  >
                    It lends no more
                  </Act>
                )}
              </span>
            )}
          </li>
        ))}
      </ol>
      {lenders.length > 1 && (
        <p>The first that takes a work is asked; whoever asks may choose another.</p>
      )}
      {may && <Act onClick={() => setChanging(lenders.length)}>Another library</Act>}
      {changing !== null && (
        <ChangeLender
          {...(changed ? { lender: changed } : {})}
          pending={lend.isPending}
          error={lend.error}
          onChanged={(lender) =>
            lend.mutate(
              changed
                ? lenders.map((one, n) => (n === changing ? lender : one))
                : [...lenders, lender],
              { onSuccess: () => setChanging(null) },
            )
          }
          onClose={() => setChanging(null)}
        />
      )}
    </section>
  );
}

function earlier(lenders: Lender[], n: number): Lender[] {
  const next = [...lenders];
  next.splice(n - 1, 0, ...next.splice(n, 1));
  return next;
}

function said(lender: Lender, usual: string | undefined): string {
  const kinds = lender.kinds ?? [];
  const name = lender.name || 'A lending library';
  if (kinds.length === 0) return `${name} takes no requests.`;
  return `${[
    `${name} takes requests for: ${kinds.join(', ')}${years(lender)}`,
    lender.address
      ? 'they go there by themselves'
      : 'you carry them there and say here how they stand',
    usual,
    lender.cost,
  ]
    .filter(Boolean)
    .join('; ')}.`;
}

function years({ since, until }: Lender): string {
  if (since && until) return `, of ${since} to ${until}`;
  if (since) return `, since ${since}`;
  return until ? `, until ${until}` : '';
}
