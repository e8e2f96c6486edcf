import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted } from '../../ui';
import type { Question } from './api';
import { lookedAt } from './seen';

type Seen = Schema['SeenShown'];

const KINDS: Record<string, string> = {
  sheet: 'a sheet',
  publication: 'a publication',
  folder: 'a folder',
  round: 'a round of arrivals',
  search: 'a saved search',
  alert: 'an alert',
};

/** In words: a sheet by its lines, everything else by its name. */
export function seenName({ kind, name }: Seen): string {
  return name ? `“${name}”` : (KINDS[kind] ?? kind);
}

/** What was looked at when something was asked, and the way there. */
export function SeenThen({ question, group }: { question: Question; group: string }) {
  const { mine, seen } = question;
  const { kind, name, found, place } = seen;
  return (
    <section aria-label="What was looked at" className="mt-3 max-w-[65ch]">
      <h2 className="small-head">{mine ? 'You looked at' : 'They looked at'}</h2>
      <p>
        {KINDS[kind] ?? kind}
        {name && (
          <>
            {': '}
            <span className={kind === 'sheet' ? '' : 'font-serif'}>{name}</span>
          </>
        )}
        {found != null && (
          <span className="text-soft">, which found {counted(found, 'publication')} then</span>
        )}
      </p>
      <Link
        className="act"
        to={`/g/${group}${place}`}
        onClick={() => lookedAt(mine ? '' : question.id)}
      >
        {mine ? 'Open it again' : 'Open what they saw'}
      </Link>
    </section>
  );
}
