import { useState } from 'react';
import { forget, left } from '../api';
import { useKeep } from '../features/folders';
import { useMark } from '../features/publication';
import { Act, counted } from '../ui';

/** Offers again what was done just after the visit had ended. */
export function LeftForLater({ group }: { group: string }) {
  const [act, setAct] = useState(() => left(group));
  const keep = useKeep(group);
  const mark = useMark(group);
  if (!act) return null;
  const done = () => {
    forget();
    setAct(null);
  };
  const again = () => {
    if (act.what === 'keep') keep.mutate(act.keep, { onSuccess: done });
    else mark.mutate(act.mark, { onSuccess: done });
  };
  const what =
    act.what === 'keep'
      ? `keep ${counted(act.keep.publications.length, 'publication')}${
          act.keep.note ? ` (“${act.keep.note}”)` : ''
        }`
      : `mark a publication “${act.mark.mark}”`;
  return (
    <section
      aria-label="Left from before"
      className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 px-6 py-2"
    >
      <p>Your visit had ended when you wanted to {what}. Nothing was lost.</p>
      <Act main disabled={keep.isPending || mark.isPending} onClick={again}>
        Do it now
      </Act>
      <Act onClick={done}>Leave it</Act>
    </section>
  );
}
