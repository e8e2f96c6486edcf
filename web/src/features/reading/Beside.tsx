import { useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { Parts } from './Parts';
import { PlaceList } from './PlaceList';
import { Strip } from './Strip';
import type { Finding } from './useFinding';

/** Left of the text: its parts or the places where words stand, and a strip of where those are. */
export function Beside({
  leaf,
  text,
  page,
  finding,
  noted,
  onPart,
  onPlace,
}: {
  leaf: Schema['Leaf'];
  text: Schema['TextShown'];
  page: number;
  finding: Finding;
  noted: number[];
  onPart: (part: Schema['PartShown']) => void;
  onPlace: (which: number) => void;
}) {
  const [wantsParts, setWantsParts] = useState(false);
  const looks = finding.typed.trim() !== '';
  const found = finding.places.map((place) => place.far);
  return (
    <>
      <div className="min-w-0 flex-1 overflow-y-auto pr-1">
        {looks && (
          <div role="group" aria-label="Beside the text" className="mb-1 flex gap-4">
            <Act aria-pressed={!wantsParts} onClick={() => setWantsParts(false)}>
              Places
            </Act>
            <Act aria-pressed={wantsParts} onClick={() => setWantsParts(true)}>
              Parts
            </Act>
          </div>
        )}
        {looks && !wantsParts ? (
          <PlaceList places={finding.places} labels={text.labels} now={finding.at} onGo={onPlace} />
        ) : (
          <Parts leaf={leaf} parts={text.parts} labels={text.labels} page={page} onGo={onPart} />
        )}
      </div>
      <Strip found={found} noted={noted} onGo={(far) => onPlace(nearest(found, far))} />
    </>
  );
}

function nearest(all: number[], far: number): number {
  let best = -1;
  all.forEach((one, n) => {
    if (best < 0 || Math.abs(one - far) < Math.abs((all[best] ?? 0) - far)) best = n;
  });
  return best;
}
