import type { Schema } from '../../api';
import { Act, Lamp, listed, PublicationRow } from '../../ui';

/** A publication of the list, and what can be done with it where it stands. */
export function HitRow({
  hit,
  group,
  step,
  chosen,
  ticked,
  peek,
  peeking,
  onPeek,
  onKeep,
  onTick,
  onChoose,
}: {
  hit: Schema['Hit'] | undefined;
  group: string;
  step: string | undefined;
  chosen: boolean;
  ticked: boolean;
  peek: Schema['Leaf'] | undefined;
  peeking: boolean;
  onPeek: () => void;
  onKeep: (() => void) | undefined;
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
      chosen={chosen}
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
      lamp={<Lamp state={hit.lamp} label={`my lamp: ${hit.lamp}`} />}
      after={
        <>
          {hit.metIn.length > 0 && ` · met in ${listed(hit.metIn)}`}
          {folders.length > 0 && ` · in ${folders.map((f) => f.name).join(', ')}`}
        </>
      }
      below={
        chosen && (
          <>
            <p className="flex gap-x-4 text-[13px] lg:hidden">
              <Act aria-expanded={peeking} onClick={onPeek}>
                Abstract
              </Act>
              {onKeep && <Act onClick={onKeep}>Keep</Act>}
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
