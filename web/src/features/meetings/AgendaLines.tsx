import { Link } from 'react-router';
import { people } from '../../ui';
import { useHere } from '../session';
import type { AgendaWork } from './api';
import { outcomeOf, whyOf } from './words';

/**
 * The works of an agenda below each other, with what came of them; `said`: with what each member
 * says now. What was said before a decision stands in the minutes.
 */
export function AgendaLines({
  works,
  said = false,
}: {
  works: readonly AgendaWork[];
  said?: boolean;
}) {
  const here = useHere();
  return (
    <ol aria-label="Agenda" className="mt-1 max-w-[52rem]">
      {works.map(({ work: { arrival }, why, outcome }) => (
        <li key={arrival.id} className="border-b border-base-300 py-2">
          <Link
            className="font-serif text-[16px] font-medium"
            to={`/g/${here.id}/p/${arrival.publication.id}`}
          >
            {arrival.publication.title}
          </Link>
          <p className="text-[13px] text-soft">
            {[
              people(arrival.publication.authors),
              arrival.publication.where,
              arrival.publication.year,
            ]
              .filter(Boolean)
              .join(' · ')}
            {' · '}
            {whyOf(why)}
          </p>
          {said &&
            arrival.lamps
              .filter(({ mark }) => mark && mark !== 'seen' && mark !== 'rest')
              .map((lamp) => (
                <p key={lamp.member} className="text-[13.5px]">
                  {here.members.find(({ id }) => id === lamp.member)?.name ?? 'A former member'}{' '}
                  <b>{lamp.mark}</b>{' '}
                  {lamp.reason && <span className="text-soft">“{lamp.reason}”</span>}
                </p>
              ))}
          {outcome && (
            <p className="mt-0.5">
              <b className="font-semibold">{outcomeOf(outcome.what)}</b>
              {outcome.words && <span className="font-serif"> {outcome.words}</span>}
            </p>
          )}
        </li>
      ))}
    </ol>
  );
}
