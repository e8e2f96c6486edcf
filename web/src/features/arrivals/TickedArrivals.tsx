import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { MarkActs, type MarkWord } from '../publication';
import { Reason } from './Reason';

/** What can be said of all that are ticked, with one reason. */
export function TickedArrivals({
  group,
  here,
  reason,
  onReason,
  onSay,
  onUntick,
}: {
  group: Schema['GroupView'];
  /** How many of the list are ticked. */
  here: number;
  reason: string;
  onReason: (reason: string) => void;
  onSay: (word: MarkWord) => void;
  onUntick: () => void;
}) {
  return (
    <div role="status">
      {here > 0 && (
        <div className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 px-4 py-1 lg:px-6">
          <b>{counted(here, 'arrival')} ticked</b>
          <MarkActs keys onMark={onSay} />
          <Act onClick={() => onSay('rest')}>Let rest</Act>
          <Act onClick={onUntick}>Untick</Act>
          <Reason id="reason-for-all" group={group} reason={reason} onReason={onReason} />
        </div>
      )}
    </div>
  );
}
