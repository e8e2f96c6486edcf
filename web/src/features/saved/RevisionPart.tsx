import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useChecked } from './api';
import { GiveDialog } from './GiveDialog';
import { RevisionLine } from './RevisionLine';

/** One revision: what it says, what it changed, who checked it. */
export function RevisionPart({
  search,
  revision,
  newest,
  first,
}: {
  search: string;
  revision: Schema['RevisionShown'];
  newest: boolean;
  first: boolean;
}) {
  const here = useHere();
  const [open, setOpen] = useState(newest);
  const { n, gained, lost, comment } = revision;
  const compared = `/g/${here.id}/compare?one=s:${search}:${n - 1}&other=s:${search}:${n}`;
  return (
    <section aria-label={`Revision ${n}`} className="mt-5 max-w-[60rem]">
      <h2 className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">Revision {n}</span>
        <span className="text-soft">
          {day(revision.at)}, {revision.by}, {counted(revision.count, 'publication')}
        </span>
        {!first && (
          <Link className="act" to={compared}>
            {gained} gained, {lost} lost
          </Link>
        )}
        {!newest && (
          <Act aria-expanded={open} onClick={() => setOpen((now) => !now)}>
            {open ? 'Fold' : 'Its lines'}
          </Act>
        )}
      </h2>
      {comment && <p className="mt-0.5 font-serif text-[15px] italic">{comment}</p>}
      {open && (
        <ol className="mt-1 border-t border-base-300">
          {revision.lines.map((line) => (
            <RevisionLine key={line.id} search={search} n={n} line={line} />
          ))}
        </ol>
      )}
      <Checks search={search} revision={revision} newest={newest} />
    </section>
  );
}

function Checks({
  search,
  revision,
  newest,
}: {
  search: string;
  revision: Schema['RevisionShown'];
  newest: boolean;
}) {
  const here = useHere();
  const [giving, setGiving] = useState(false);
  const checked = useChecked(here.id, search, revision.n);
  const mine = revision.checks.find((check) => check.mine);
  const mayCheck = mayWrite(here) && !revision.mine && (newest || mine) && !mine?.checked;
  return (
    <div className="mt-1 flex flex-wrap items-baseline gap-x-4">
      {revision.checks.map((check) => (
        <span key={check.checker} className="text-soft">
          {check.checked
            ? `Checked by ${check.checker} on ${day(check.checked)}.`
            : `Given to ${check.checker} to check, by ${check.askedBy} on ${day(check.asked ?? '')}.`}
        </span>
      ))}
      {mayCheck && (
        <Act disabled={checked.isPending} onClick={() => checked.mutate(null)}>
          I have checked it
        </Act>
      )}
      {newest && mayWrite(here) && <Act onClick={() => setGiving(true)}>Give it to be checked</Act>}
      {giving && (
        <GiveDialog search={search} revision={revision} onClose={() => setGiving(false)} />
      )}
    </div>
  );
}
