import { Act, counted } from '../../ui';
import { MARKS } from './marks';

/** What can be done with everything that is ticked. */
export function Ticked({
  many,
  writes,
  onKeep,
  onSay,
  onUntick,
}: {
  many: number;
  writes: boolean;
  onKeep: () => void;
  onSay: (word: string) => () => void;
  onUntick: () => void;
}) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 px-6 py-1">
      <b role="status">{counted(many, 'publication')} ticked</b>
      {writes && <Act onClick={onKeep}>Keep</Act>}
      {writes &&
        MARKS.map(([, word, label]) => (
          <Act key={word} onClick={onSay(word)}>
            {label}
          </Act>
        ))}
      <Act onClick={onUntick}>Untick all</Act>
    </p>
  );
}
