import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Lamp, listed, PublicationRow } from '../../ui';

/** A publication of the list, and what can be done with it where it stands. */
export function HitRow({
  hit,
  group,
  guest,
  step,
  chosen,
  ticked,
  peek,
  peeking,
  onPeek,
  onKeep,
  onLink,
  onTick,
  onChoose,
}: {
  hit: Schema['Hit'] | undefined;
  group: string;
  /** Guests have no lamp (rule V1). */
  guest: boolean;
  step: string | undefined;
  chosen: boolean;
  ticked: boolean;
  peek: Schema['Leaf'] | undefined;
  peeking: boolean;
  onPeek: () => void;
  onKeep: (() => void) | undefined;
  onLink: () => void;
  onTick: () => void;
  onChoose: () => void;
}) {
  if (!hit) return <div className="h-[54px] px-6 py-2 text-faint">…</div>;
  const { publication, folders } = hit;
  return (
    <PublicationRow
      publication={publication}
      lit={hit.lit}
      to={`/g/${group}/p/${publication.id}`}
      state={{ step }}
      opened={hit.opened}
      onChoose={onChoose}
      tick={
        <input
          type="checkbox"
          aria-label={`Tick ${publication.title}`}
          className="mt-1 size-[14px] cursor-pointer accent-primary"
          checked={ticked}
          onChange={onTick}
        />
      }
      lamp={guest ? null : <Lamp state={hit.lamp} label={`my lamp: ${hit.lamp}`} />}
      after={
        <>
          {hit.metIn.length > 0 && ` · met in ${listed(hit.metIn)}`}
          {folders.length > 0 && ` · in ${folders.map((f) => f.name).join(', ')}`}
        </>
      }
      below={
        chosen && (
          <>
            <p className="flex gap-x-4 text-[13px]">
              <Act aria-expanded={peeking} onClick={onPeek}>
                Abstract
              </Act>
              {onKeep && <Act onClick={onKeep}>Keep</Act>}
              <Link className="act" to={`/g/${group}/p/${publication.id}`} state={{ step }}>
                Open
              </Link>
              <Act onClick={onLink}>Stable link</Act>
            </p>
            {peeking && peek?.publication.id === publication.id && (
              <p className="max-w-[75ch] font-serif text-[14px]">
                {peek.abstractText || 'No abstract was supplied.'}
              </p>
            )}
          </>
        )
      }
    />
  );
}
