import { useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { useHere } from '../session';
import { useRemark, useRemarks } from './api';
import { Remark } from './Remark';
import { WriteRemark } from './WriteRemark';

/** What the group says of a publication, wherever it is looked at; `may`: the reader, too. */
export function Remarks({ publication, may }: { publication: string; may: boolean }) {
  const here = useHere();
  const remarks = useRemarks(here.id, publication).data ?? [];
  const remark = useRemark(here.id, publication);
  // A new box for each remark that was said: what is typed meanwhile is not lost before.
  const [said, setSaid] = useState(0);
  if (remarks.length === 0 && !may) return null;
  return (
    <section aria-label="Remarks" className="mt-3">
      <h3 className="small-head">Remarks</h3>
      <ul>
        {remarks.map((one) => (
          <li key={one.id} className="mb-2">
            <Thread remark={one} publication={publication} may={may} />
          </li>
        ))}
      </ul>
      {may && (
        <WriteRemark
          key={said}
          label="Say something to the group"
          act="Say it"
          pending={remark.isPending}
          error={remark.error}
          onWrite={(text) =>
            remark.mutate({ text }, { onSuccess: () => setSaid((now) => now + 1) })
          }
        />
      )}
    </section>
  );
}

/** A remark with its answers; one that is settled is folded to its first line. */
function Thread({
  remark,
  publication,
  may,
}: {
  remark: Schema['RemarkThread'];
  publication: string;
  may: boolean;
}) {
  const here = useHere();
  const answer = useRemark(here.id, publication);
  const [answering, setAnswering] = useState(false);
  const [open, setOpen] = useState(false);
  if (remark.settled && !open) {
    return (
      <p className="flex items-baseline gap-x-3 text-[13px] text-soft">
        <span className="truncate">
          {remark.name}: {remark.text ?? 'taken back'}
        </span>
        <span className="flex-none">settled by {remark.settledBy}</span>
        <Act aria-expanded={false} onClick={() => setOpen(true)}>
          Show
        </Act>
      </p>
    );
  }
  return (
    <>
      <Remark remark={remark} publication={publication} may={may} />
      <ul className="pl-5">
        {remark.answers.map((one) => (
          <li key={one.id}>
            <Remark remark={one} may={may} />
          </li>
        ))}
      </ul>
      {answering ? (
        <div className="pl-5">
          <WriteRemark
            label="Answer"
            act="Answer"
            pending={answer.isPending}
            error={answer.error}
            onWrite={(text) =>
              answer.mutate({ text, answers: remark.id }, { onSuccess: () => setAnswering(false) })
            }
            onLeave={() => setAnswering(false)}
          />
        </div>
      ) : (
        may && (
          <p className="pl-5">
            <Act onClick={() => setAnswering(true)}>Answer</Act>
          </p>
        )
      )}
    </>
  );
}
