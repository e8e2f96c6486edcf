import type { Schema } from '../../api';
import { Act, day } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useSayRead } from './api';

type Extent = 'abstract' | 'text';

/** Who read it, and what the member can say of their own reading; nothing of it is concluded. */
export function ReadIt({ leaf, offered }: { leaf: Schema['Leaf']; offered: readonly Extent[] }) {
  const here = useHere();
  const say = useSayRead(here.id, leaf.publication.id);
  const own = leaf.read.find((one) => one.member === here.me.id);
  const others = leaf.read.filter((one) => one !== own);
  const left = offered.filter((extent) => extent !== own?.extent && own?.extent !== 'text');
  return (
    <ul aria-label="Who read it">
      {others.map((one) => (
        <li key={one.member}>
          {one.name} <b>read: {one.extent}</b> <span className="text-soft">on {day(one.at)}</span>
        </li>
      ))}
      {own && (
        <li>
          You <b>read: {own.extent}</b> <span className="text-soft">on {day(own.at)}</span>{' '}
          {mayWrite(here) && (
            <Act disabled={say.isPending} onClick={() => say.mutate('nothing')}>
              take back
            </Act>
          )}
        </li>
      )}
      {mayWrite(here) && left.length > 0 && (
        <li className="flex flex-wrap gap-x-4">
          {left.map((extent) => (
            <Act key={extent} disabled={say.isPending} onClick={() => say.mutate(extent)}>
              Read: {extent}
            </Act>
          ))}
        </li>
      )}
    </ul>
  );
}
