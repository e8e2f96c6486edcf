import { useState } from 'react';
import type { Schema } from '../../api';
import { counted, DialogForm, listed } from '../../ui';
import { useHere } from '../session';
import { strategyOf, type Line } from '../strategy';
import { useAuthorAsked } from './api';
import { SetAlertDialog } from './SetAlertDialog';

type Person = Schema['PersonNamed'];

/** Says who of a name is meant, where several have it, then sets an alert on what they write. */
export function WhoIsIt({
  publication,
  n,
  onClose,
}: {
  publication: string;
  /** Which of its authors, from 0. */
  n: number;
  onClose: () => void;
}) {
  const here = useHere();
  const found = useAuthorAsked(here.id, publication, n);
  const [same, setSame] = useState<ReadonlySet<string>>(new Set());
  const [sure, setSure] = useState(false);
  const [asked, ...others] = found.data?.people ?? [];
  if (asked && (sure || others.length === 0)) {
    const strategy = strategyOf(linesOf(asked, others, same));
    return (
      <SetAlertDialog
        group={here.id}
        watch={{ name: `By ${asked.name}`, strategy }}
        onClose={onClose}
      />
    );
  }
  const toggle = (line: string) =>
    setSame(
      (now) => new Set(now.has(line) ? [...now].filter((one) => one !== line) : [...now, line]),
    );
  return (
    <DialogForm
      title={asked ? `Who is ${asked.name}?` : 'Who is it?'}
      wide
      act="Go on"
      leave="Set no alert"
      disabled={!asked}
      error={found.error}
      onSubmit={() => setSure(true)}
      onClose={onClose}
    >
      {!asked ? (
        <p role="status" className="mt-2 text-soft">
          It is looked for who else has that name …
        </p>
      ) : (
        <>
          <p className="mt-2">
            Others here have a name that may be the same person’s. What you say stands in the lines
            of the search, where it can be changed later.
          </p>
          <Facts person={asked} />
          <fieldset className="mt-3">
            <legend className="small-head">Is this the same person?</legend>
            {others.map((person) => (
              <label key={person.line} className="mt-2 flex items-baseline gap-2">
                <input
                  type="checkbox"
                  checked={same.has(person.line)}
                  onChange={() => toggle(person.line)}
                />
                <Facts person={person} />
              </label>
            ))}
          </fieldset>
          {found.data && found.data.looked < found.data.found && (
            <p className="mt-2 text-[13px] text-soft">
              Looked at {found.data.looked.toLocaleString('en-GB')} of{' '}
              {counted(found.data.found, 'work')} with that family name, those that came last.
            </p>
          )}
        </>
      )}
    </DialogForm>
  );
}

function Facts({ person }: { person: Person }) {
  return (
    <span className="block">
      <b className="font-semibold">{person.name}</b>{' '}
      <span className="text-soft">
        {person.orcid ? `ORCID ${person.orcid}` : 'without an ORCID'} ·{' '}
        {counted(person.works, 'work')}
        {person.affiliations.length > 0 && ` · ${listed(person.affiliations)}`}
      </span>
      <span className="block font-serif text-[13px] text-soft">{person.titles.join(' · ')}</span>
    </span>
  );
}

/**
 * The lines that find an author: by ORCID or name all who are the same, without others whom one of
 * those names would find, too.
 */
export function linesOf(asked: Person, others: Person[], same: ReadonlySet<string>): Line[] {
  const meant = [asked, ...others.filter(({ line }) => same.has(line))];
  const names = new Set(meant.filter(({ orcid }) => !orcid).map(({ name }) => name));
  const besides = others.filter(
    ({ line, orcid, name }) => orcid && !same.has(line) && names.has(name),
  );
  return [
    { id: 'l1', kind: 'words', text: `author: (${meant.map(({ line }) => line).join(' or ')})` },
    ...besides.map(({ line }, n): Line => ({
      id: `l${n + 2}`,
      kind: 'words',
      text: `not author: ${line}`,
    })),
  ];
}
