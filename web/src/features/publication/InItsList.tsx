import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { Act, neighboursOf, useKeys, useUnderWay } from '../../ui';
import { useHere } from '../session';

/** Former and next of the list that the publication was opened from, and the way back to it. */
export function InItsList({ id, step }: { id: string; step: string | undefined }) {
  const here = useHere();
  const navigate = useNavigate();
  const list = useMemo(() => neighboursOf(id), [id]);
  const underWay = useUnderWay(id);
  // From where the page is going, so that keys that follow each other at once all count.
  const turn = (which: 'former' | 'next') => {
    const to = neighboursOf(underWay.now())?.[which];
    if (!to) return;
    underWay.go(to);
    // The list stays what is left by the browser's own way back.
    void navigate(`/g/${here.id}/p/${to}`, { replace: true, state: { step } });
  };
  const former = () => turn('former');
  const next = () => turn('next');
  const back = () => list && void navigate(-1);
  useKeys({ j: next, k: former, u: back });
  if (!list) return null;
  return (
    <nav aria-label="In its list" className="mb-2 flex flex-wrap items-baseline gap-x-4 text-soft">
      <span role="status">
        {(list.at + 1).toLocaleString('en-GB')} of {list.all.toLocaleString('en-GB')} in the list
      </span>
      <Act hint="k" disabled={!list.former} onClick={former}>
        Former
      </Act>
      <Act hint="j" disabled={!list.next} onClick={next}>
        Next
      </Act>
      <Act hint="u" onClick={back}>
        Back to the list
      </Act>
    </nav>
  );
}
