import type { Schema } from '../../api';
import { shortDay } from '../../ui';
import { useHere } from '../session';
import { Waits } from './Waits';

/** What happened to a kept work; of other changes nothing is said. */
const CHANGED: Record<string, string> = {
  retracted: 'retracted',
  corrected: 'corrected',
  concern: 'a concern was published',
  final: 'the final version appeared',
  opened: 'everybody can read it now',
  withdrawn: 'no source supplies it any more',
};

/** Kept works to which something happened that the reader has not looked at. */
export function ChangedRows({ changed }: { changed: Schema['WaitsFor']['changed'] }) {
  const here = useHere();
  const g = `/g/${here.id}`;
  return changed.map((one) => (
    <Waits
      key={`changed ${one.publication.id}`}
      title={one.publication.title}
      to={`${g}/p/${one.publication.id}`}
      act="Look"
    >
      {one.kinds
        .map((kind) => CHANGED[kind])
        .filter(Boolean)
        .join(', ')}{' '}
      on {shortDay(one.at)}; kept in {one.folder.name}
    </Waits>
  ));
}
