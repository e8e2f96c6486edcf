import { useState } from 'react';
import { Act, shortDay } from '../../ui';
import { FieldForm } from '../citing';
import { mayWrite, useHere } from '../session';
import { useFields, type useEntryActs } from './actsApi';

/** What is supplied and what the group reads, field by field. */
export function FieldsRead({
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
