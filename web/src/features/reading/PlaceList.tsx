import { useEffect, useRef, useState } from 'react';
import { Act } from '../../ui';
import type { Found } from './find';

const AT_ONCE = 200;

/** Every place where the words stand, with its line; the one that is looked at is marked. */
export function PlaceList({
  places,
  labels,
  now,
  onGo,
}: {
  places: Found[];
  labels: string[];
  now: number;
  onGo: (which: number) => void;
}) {
  const [asked, setAsked] = useState(AT_ONCE);
  const most = Math.max(asked, now + 1);
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    here.current?.scrollIntoView?.({ block: 'nearest' });
  }, [now]);
  return (
    <>
      <ol aria-label="Places in the text">
        {places.slice(0, most).map((place, n) => (
          <li key={n}>
            <button
              ref={n === now ? here : null}
              type="button"
              aria-current={n === now ? 'location' : undefined}
              className={`min-h-[24px] w-full border-l-2 py-1 pl-2 text-left text-[12.5px] leading-snug hover:underline ${
                n === now ? 'border-base-content' : 'border-transparent'
              }`}
              onClick={() => onGo(n)}
            >
              <span className="text-soft">…{place.before}</span>
              <mark>{place.words}</mark>
              <span className="text-soft">
                {place.after}… {labels[place.page]}
              </span>
            </button>
          </li>
        ))}
      </ol>
      {places.length > most && (
        <Act onClick={() => setAsked(most + AT_ONCE)}>{places.length - most} places more</Act>
      )}
    </>
  );
}
