import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { CitedEntry } from '../citing';
import { mayWrite, useHere } from '../session';
import { useFields, type useEntryActs } from './actsApi';
import { FaultView, FieldForm } from './FaultView';

/** One entry: what is wrong in it before it leaves, and its fields as the group reads them. */
export function EntryPane({
  entry,
  layout,
  acts,
  onTick,
}: {
  entry: Schema['EntryOfFolder'];
  layout: Schema['EntryLayout'];
  acts: ReturnType<typeof useEntryActs>;
  onTick: () => void;
}) {
  const here = useHere();
  const writes = mayWrite(here);
  const { publication, faults, compared } = entry;
  const first = faults.find((fault) => fault.mend);
  return (
    <>
      <h2 className="sr-only">The entry</h2>
      <CitedEntry parts={entry.parts} layout={layout} />
      <p className="mt-1 flex flex-wrap gap-x-4">
        {writes && (
          <Act hint="x" onClick={onTick}>
            {compared ? 'To be compared again' : 'Compared with the work'}
          </Act>
        )}
        <Link className="act" to={`/g/${here.id}/p/${publication}`}>
          Open
        </Link>
      </p>
      <section aria-label="Before this leaves">
        <h3 className="small-head mt-3">Before this leaves</h3>
        {compared && (
          <p className="text-soft">
            {compared.by} compared it with the work on {shortDay(compared.at)}.
          </p>
        )}
        {faults.length === 0 && <p className="text-soft">Nothing was found to be wrong.</p>}
        <ul>
          {faults.map((fault) => (
            <FaultView
              key={`${publication} ${fault.kind} ${fault.field} ${fault.reads}`}
              fault={fault}
              publication={publication}
              writes={writes}
              hint={fault === first ? 'm' : undefined}
              mend={acts.mend}
            />
          ))}
        </ul>
      </section>
      {!here.me.onlyFolders && (
        <Fields key={publication} publication={publication} mend={acts.mend} />
      )}
    </>
  );
}

/** What is supplied and what the group reads, field by field. */
function Fields({
  publication,
  mend,
}: {
  publication: string;
  mend: ReturnType<typeof useEntryActs>['mend'];
}) {
  const here = useHere();
  const fields = useFields(here.id, publication).data ?? [];
  const [at, setAt] = useState<string | null>(null);
  return (
    <section aria-label="As the group reads it">
      <h3 className="small-head mt-3">As the group reads it</h3>
      <ul>
        {fields.map((field) => (
          <li key={field.field} className="border-b border-rule-strong py-1 last:border-0">
            <div className="grid grid-cols-[7.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3">
              <span className="text-soft">{field.words}</span>
              <span className="font-serif [overflow-wrap:anywhere]">
                {field.reads || <span className="text-soft">nothing</span>}
              </span>
              {mayWrite(here) && (
                <Act
                  aria-label={`Write the ${field.words}`}
                  aria-expanded={at === field.field}
                  onClick={() => setAt((now) => (now === field.field ? null : field.field))}
                >
                  Write
                </Act>
              )}
            </div>
            {field.by && field.at && (
              <p className="text-[13px] text-soft">
                {field.counts ? 'mended' : 'mended before the source changed it,'} by {field.by},{' '}
                {shortDay(field.at)}; supplied is{' '}
                <span className="font-serif">{field.supplied || 'nothing'}</span>{' '}
                {field.counts && mayWrite(here) && (
                  <Act
                    onClick={() =>
                      mend.mutate({
                        publication,
                        field: field.field,
                        was: field.reads,
                        value: field.supplied,
                      })
                    }
                  >
                    As supplied
                  </Act>
                )}
              </p>
            )}
            {at === field.field && (
              <FieldForm
                label={field.words}
                value={field.reads}
                pending={mend.isPending}
                onGive={(value) =>
                  mend.mutate(
                    { publication, field: field.field, was: field.reads, value },
                    { onSuccess: () => setAt(null) },
                  )
                }
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
