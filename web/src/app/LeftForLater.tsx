import { useState } from 'react';
import { forget, left, type Later, type Schema } from '../api';
import { useKeep } from '../features/keeping';
import { useMark } from '../features/publication';
import { Act, counted, listed } from '../ui';

/** Offers again everything that was done just after the visit had ended. */
export function LeftForLater({ here }: { here: Schema['GroupView'] }) {
  const group = here.id;
  const [acts, setActs] = useState(() => left(group));
  const keep = useKeep(group);
  const mark = useMark(here);
  const [busy, setBusy] = useState(false);
  if (acts.length === 0) return null;
  const done = () => {
    forget(group);
    setActs([]);
  };
  // One after the other, in the order in which they were pressed.
  const again = async () => {
    setBusy(true);
    try {
      for (const act of acts) {
        if (act.what === 'keep') await keep.mutateAsync(act.keep);
        else mark(act.mark);
      }
      done();
    } catch {
      // What failed has said why; everything stays on offer, and doing it twice does no harm.
    } finally {
      setBusy(false);
    }
  };
  return (
    <section
      aria-label="Left from before"
      className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 px-6 py-2"
    >
      <p>Your visit had ended when you wanted to {listed(acts.map(inWords))}. Nothing was lost.</p>
      <Act main disabled={busy} onClick={() => void again()}>
        Do it now
      </Act>
      <Act disabled={busy} onClick={done}>
        Don’t do it
      </Act>
    </section>
  );
}

function inWords(act: Later): string {
  if (act.what === 'mark') {
    return `mark ${counted(act.mark.publications.length, 'publication')} “${act.mark.mark}”`;
  }
  const note = act.keep.note ? ` (“${act.keep.note}”)` : '';
  return `keep ${counted(act.keep.publications.length, 'publication')}${note}`;
}
