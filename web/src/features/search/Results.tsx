import { useState } from 'react';
import { Act } from '../../ui';
import { PublicationList } from '../list';
import { useHere } from '../session';
import type { Strategy } from '../strategy';
import { useRows, type Result } from './api';
import { Glance } from './Glance';
import type { Step } from './useSettled';

/** What a search finds, as a list with the leaf; above the leaf, the field as it looks from afar. */
export function Results({
  result,
  strategy,
  fresh,
  ahead,
  onAhead,
  step,
  q,
  onStep,
}: {
  result: Result;
  strategy: Strategy;
  /** Whether this is the list for what stands on the sheet. */
  fresh: boolean;
  /** Steps that were pressed before the list was there; told once they are taken. */
  ahead: number;
  onAhead: () => void;
  step: string | undefined;
  /** The address of the search, once it is settled. */
  q?: string | undefined;
  onStep: () => Promise<Step | null>;
}) {
  const here = useHere();
  const { ids } = result.answer;
  const rows = useRows(here.id, strategy, ids, result.first);
  const [afar, setAfar] = useState(false);
  return (
    <PublicationList
      label="Publications found"
      ids={ids}
      row={rows.row}
      onSight={rows.showTo}
      fresh={fresh}
      strategy={strategy}
      step={step}
      onStep={onStep}
      keeps
      ahead={ahead}
      onAhead={onAhead}
      aboveLeaf={
        <>
          <p className="mb-1">
            <Act aria-expanded={afar} onClick={() => setAfar((now) => !now)}>
              The field at a glance
            </Act>
          </p>
          {afar && <Glance strategy={strategy} q={q} />}
        </>
      }
    />
  );
}
