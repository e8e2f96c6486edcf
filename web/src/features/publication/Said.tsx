import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Lamp } from '../../ui';
import { mayWrite, useHere } from '../session';
import { DecidedTogether } from './DecidedTogether';
import { usePutOut } from './api';
import { ReadIt } from './ReadIt';

/** What the group has said of a publication, and where it is kept. */
export function Said({ leaf }: { leaf: Schema['Leaf'] }) {
  const { said, folders } = leaf;
  const here = useHere();
  const out = usePutOut(here.id);
  if (said.length + folders.length + leaf.read.length === 0 && !mayWrite(here)) return null;
  return (
    <>
      <h3 className="small-head mt-3">In your group</h3>
      {folders.length > 0 && (
        <p>
          In{' '}
          {folders.map((folder, at) => (
            <span key={folder.id}>
              {at > 0 && ', '}
              <Link className="act" to={`/g/${here.id}/f/${folder.id}`}>
                {folder.name}
              </Link>
            </span>
          ))}
        </p>
      )}
      <ul>
        {said.map((one) => (
          <li key={one.member} className="flex items-center gap-2">
            <Lamp state={one.lamp} label={`${one.name}: ${one.mark}`} />
            <span>
              {one.name} <b>{one.mark}</b>{' '}
              {one.reason && <span className="text-soft">“{one.reason}” </span>}
              {one.member === here.me.id && (
                <Act onClick={() => out.mutate([leaf.publication.id])}>put out</Act>
              )}
            </span>
          </li>
        ))}
      </ul>
      <DecidedTogether publication={leaf.publication.id} />
      <ReadIt leaf={leaf} offered={leaf.abstractText ? ['abstract', 'text'] : ['text']} />
    </>
  );
}
