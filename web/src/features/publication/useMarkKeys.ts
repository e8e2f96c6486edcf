import { useRef } from 'react';
import { typedJustNow, useKeys, useNotice } from '../../ui';
import { MARKS, type MarkWord } from './marks';

/** Milliseconds within which a second key on the same publication is a slip. */
const AT_ONCE = 300;

/**
 * The marks by their keys, one behaviour in every place: a key marks what is chosen at the moment
 * when it is pressed, and the choice goes on. A key that may have been meant as text marks nothing,
 * and two keys at once never mark one publication twice.
 *
 * @param current names what is marked at this moment
 * @param reached whether the member came to it by an act of their own
 */
export function useMarkKeys({
  may,
  current,
  reached,
  onMark,
}: {
  may: boolean;
  current: () => string;
  reached: () => boolean;
  onMark: (word: MarkWord) => void;
}): void {
  const tell = useNotice();
  const last = useRef({ marked: '', at: -Infinity });
  const pressed = (word: MarkWord, key: string) => () => {
    if (!may) return;
    if (typedJustNow()) {
      tell({ text: `Nothing was marked: ${key} came while you were typing. Press it again.` });
    } else if (!reached()) {
      tell({ text: 'Nothing was marked: choose a publication with the arrows or a click first.' });
    } else {
      const now = { marked: current(), at: performance.now() };
      const twice = now.marked === last.current.marked && now.at - last.current.at < AT_ONCE;
      last.current = now;
      if (!twice) onMark(word);
    }
  };
  useKeys(may ? Object.fromEntries(MARKS.map(({ key, word }) => [key, pressed(word, key)])) : {});
}
