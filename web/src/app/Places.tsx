import { Link, useLocation } from 'react-router';
import { presentPlace } from '../features/strategy';
import { PLACES, PLACES_OUTSIDE } from './places';

/** In the top line; a bar at the bottom on narrow screens. */
export function Places({
  group,
  owed,
  outside,
}: {
  group: string;
  owed: number;
  /** Whether only single folders are open to the reader. */
  outside: boolean;
}) {
  const part = useLocation().pathname.split('/')[3] ?? '';
  return (
    <nav
      aria-label="Places"
      className="fixed inset-x-0 bottom-0 z-10 flex h-12 justify-around border-t border-base-300 bg-base-100 lg:static lg:h-full lg:justify-start lg:gap-5 lg:border-0"
    >
      {(outside ? PLACES_OUTSIDE : PLACES).map((place) => {
        const here = place.path === part || (place.also as readonly string[]).includes(part);
        return (
          <Link
            key={place.path}
            // Back to the sheet that the member was at.
            to={place.path === 'search' ? presentPlace(group) : `/g/${group}/${place.path}`}
            aria-current={here ? 'page' : undefined}
            className={`flex items-center border-b-2 px-1 pt-0.5 ${
              here ? 'border-base-content font-semibold' : 'border-transparent text-soft'
            }`}
          >
            {place.name}
            {place.path === 'arrivals' && owed > 0 && (
              <span className="ml-1.5 rounded-full bg-lit-wash px-[7px] text-[12.5px] font-semibold text-lit-ink">
                {owed}
                <span className="sr-only"> to review</span>
              </span>
            )}
          </Link>
        );
      })}
    </nav>
  );
}
