import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted, day, listed } from '../../ui';
import { useHere } from '../session';
import { useHistory } from './api';

type Kind = Schema['PublicationChange']['kinds'][number];

/** What happened to it. */
const EVENTS: Partial<Record<Kind, string>> = {
  retracted: 'a retraction was published',
  corrected: 'a correction was published',
  concern: 'an expression of concern was published',
  final: 'the final version appeared',
  opened: 'a copy was opened to all',
  joined: 'it was joined with another record of the same work',
  withdrawn: 'its sources withdrew it',
  returned: 'it was supplied again',
};

/** What is known of it and became something else. */
const DETAILS: Partial<Record<Kind, string>> = {
  text: 'title or abstract',
  access: 'access',
  headings: 'headings or keywords',
  cited: 'what it cites',
  fields: 'other details',
  supplied: 'the sources that supply it',
};

function said(kinds: Kind[]): string {
  const events = kinds.flatMap((kind) => EVENTS[kind] ?? []);
  const details = kinds.flatMap((kind) => DETAILS[kind] ?? []);
  return [listed(events), details.length > 0 && `${listed(details)} changed`]
    .filter(Boolean)
    .join('; ');
}

/** Changes that are shown before one asks for the rest. */
const FIRST = 5;

/** What changed of a publication since it came; nothing where nothing did. */
export function History({ publication }: { publication: string }) {
  const here = useHere();
  const changes = (useHistory(here.id, publication).data ?? []).filter(
    ({ kinds }) => !kinds.includes('new'),
  );
  const [whole, setWhole] = useState(false);
  if (changes.length === 0) return null;
  const shown = whole ? changes : changes.slice(0, FIRST);
  const rest = changes.length - shown.length;
  return (
    <section aria-label="What changed">
      <h3 className="small-head mt-3">What changed</h3>
      <ul>
        {shown.map((change, at) => (
          <li key={`${change.at} ${at}`} className="py-0.5">
            {day(change.at)}: {said(change.kinds)}
          </li>
        ))}
      </ul>
      {rest > 0 && <Act onClick={() => setWhole(true)}>{counted(rest, 'earlier change')}</Act>}
    </section>
  );
}
