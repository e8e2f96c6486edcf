import { Act } from '../../ui';
import { MARKS, type MarkWord } from './marks';

/** What can be said of a publication, each as an act, in the same order in every place. */
export function MarkActs({
  keep = 'Keep',
  main = false,
  keys = false,
  onMark,
}: {
  /** What keeping is called here. */
  keep?: string;
  /** Whether keeping is what one mostly does here. */
  main?: boolean;
  /** Whether the keys are shown. */
  keys?: boolean;
  onMark: (word: MarkWord) => void;
}) {
  return MARKS.map(({ key, word, label }) => (
    <Act
      key={word}
      main={main && word === 'keep'}
      {...(keys && { hint: key })}
      onClick={() => onMark(word)}
    >
      {word === 'keep' ? keep : label}
    </Act>
  ));
}
