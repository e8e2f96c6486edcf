import type { Schema } from '../../api';
import { likeWhatWasKept } from './because';

/** What of an arrival moves it up in the order of what the group tends to keep. */
export function Like({ because }: { because: readonly Schema['Because'][] }) {
  return (
    because.length > 0 && (
      <p className="text-[13px] text-soft">like what you kept: {likeWhatWasKept(because)}</p>
    )
  );
}
