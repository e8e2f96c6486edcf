import { Act } from '../../ui';
import { useHere } from '../session';
import { beginGuide, leaveGuide, useGuide } from './guide';

/** Offers the first search, in the demo, once. */
export function GuideOffer() {
  const here = useHere();
  const guide = useGuide();
  if (!here.demo || guide !== 'offered') return null;
  return (
    <p className="mb-4 flex flex-wrap items-center gap-x-5">
      <span>New here? A first search takes five short steps.</span>
      <Act main onClick={beginGuide}>
        Begin
      </Act>
      <Act onClick={leaveGuide}>Not now</Act>
    </p>
  );
}
